import type { Person, SetUp } from '@kobrin/contract'
import { civil, usualHemisphere } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { changing } from '../changes/changing.ts'
import type { Changing } from '../changes/changing.ts'
import type { Database } from '../database/connect.ts'
import { KobrinProblem } from '../errors/problem.ts'
import { initialsOf } from '../people/initialsOf.ts'
import { hashSecret } from '../people/passphrase.ts'
import { staff } from '../people/tables.ts'
import { siteSettings } from '../site/queries.ts'
import { site } from '../site/tables.ts'

/** The house this record is of; null when nothing has been set up in it yet. */
export async function houseName(db: Database): Promise<string | null> {
  return (await siteSettings(db))?.name ?? null
}

/** Sets up a house of one's own in an empty record, with the first of its curators. Throws `set_up_already`. */
export async function setUp(
  { db, stream, onChanged }: Omit<Changing, 'author'>,
  { house, zone, units, name, login, passphrase }: Omit<SetUp, 'code'>,
  now: Date,
): Promise<Person> {
  const person: Person = { id: uuidv7(), name, initials: initialsOf(name), role: 'curator', competences: [] }
  const passphraseHash = await hashSecret(passphrase)
  const author = { by: person.id, at: now.toISOString(), day: civil(now.getTime(), zone).day }
  return changing({ db, stream, author, ...(onChanged && { onChanged }) }, async (tx) => {
    const [there] = await tx.select({ id: site.id }).from(site)
    if (there) throw new KobrinProblem('set_up_already')
    await tx.insert(site).values({
      id: 1,
      name: house,
      zone,
      units,
      hemisphere: usualHemisphere(zone, now.getFullYear()),
      schools: {},
    })
    await tx.insert(staff).values({ ...person, login, passphraseHash })
    return { changes: [{ what: { kind: 'setUp', name: house }, reason: '' }], answer: person }
  })
}
