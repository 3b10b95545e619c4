import type { KeptEntry } from '@kobrin/contract'
import { sql } from 'drizzle-orm'
import { change } from '../changes/tables.ts'
import type { Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { historyOf } from '../entries/queries.ts'
import { sheetVersion } from '../library/tables.ts'
import { staff } from '../people/tables.ts'
import { photo } from '../photos/tables.ts'
import { readPlanBook, readSite } from '../site/queries.ts'
import { bayPast, numbering, site } from '../site/tables.ts'
import { VERSION } from '../version.ts'
import type { Line, LinesOf, TakenHouse } from './format.ts'

/** Everything but the entries: it is small beside them. */
export type Furnishing = { house: TakenHouse } & { [K in Exclude<LinesOf, 'entries'>]: Line<K>[] }

/** The house without its history, as one moment shows it. Null when nothing has been set up. */
export async function furnishingOf(tx: Transaction, at: string): Promise<Furnishing | null> {
  const [building, book] = [await readSite(tx), await readPlanBook(tx)]
  const [settings] = await tx.select().from(site)
  const [numbers] = await tx.select().from(numbering)
  if (!building || !book || !settings || !numbers) return null
  const { name, zone, units, hemisphere, schools } = settings
  const { last, prefix, digits } = numbers
  const versions = await tx.select().from(sheetVersion)
  const people = await tx.select().from(staff)
  return {
    house: {
      format: 1,
      kobrin: VERSION,
      at,
      name,
      zone,
      units,
      hemisphere,
      schools,
      numbering: { last, prefix, digits },
    },
    people: people.map(({ passphraseHash: _passphrase, pinHash: _pin, ...person }) => person),
    rooms: building.rooms,
    bays: building.bays,
    boxes: building.enclosures,
    pastBays: (await tx.select().from(bayPast)).map(({ bayId, ...past }) => ({ ...past, bay: bayId })),
    sheets: book.sheets,
    sheetVersions: versions.map(({ sheetId, authorId, madeAt, ...version }) => ({
      ...version,
      sheet: sheetId,
      by: authorId,
      at: madeAt,
    })),
    overrides: book.overrides,
    numbers: Object.entries(building.numbers).map(([resident, number]) => ({ resident, number })),
    photos: await tx.select().from(photo),
    changes: await tx.select().from(change),
  }
}

/** The history of every subject, one after the other. */
export async function* historiesOf(tx: Transaction): AsyncGenerator<KeptEntry[]> {
  const subjects = await rowsOf<{ id: string }>(tx, sql`select id from subject where version > 0 order by id`)
  for (const { id } of subjects) yield await historyOf(tx, id)
}
