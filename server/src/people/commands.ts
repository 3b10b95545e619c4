import type { GivenCode, KeepPerson, PersonChange, Units } from '@kobrin/contract'
import { and, count, eq, isNotNull, ne, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Changing, NewChange } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import { sqlMoment } from '../database/columns.ts'
import type { Transaction } from '../database/connect.ts'
import { KobrinProblem } from '../errors/problem.ts'
import { hashSecret } from './passphrase.ts'
import { invitation, staff } from './tables.ts'
import { hashed, newCode, shownCode } from './token.ts'

/** How long a code is good: anyone who starts after a week off can still come in with it. */
const CODE_HOURS = 14 * 24

function changed(person: string, what: PersonChange): NewChange[] {
  return [{ what: { kind: 'person', person, what }, reason: '' }]
}

/** Somebody on the list of staff, whether they come in or not. Throws `unknown_person`. */
async function found(tx: Transaction, id: string) {
  const [row] = await tx.select().from(staff).where(eq(staff.id, id))
  if (!row) throw new KobrinProblem('unknown_person')
  return row
}

async function requireFreeLogin(tx: Transaction, login: string, id: string): Promise<void> {
  const [other] = await tx
    .select({ id: staff.id })
    .from(staff)
    .where(and(eq(staff.login, login), ne(staff.id, id)))
  if (other) throw new KobrinProblem('login_taken')
}

/** Somebody else who answers for the house and can come in. */
async function requireAnotherCurator(tx: Transaction, id: string): Promise<void> {
  const [others] = await tx
    .select({ count: count() })
    .from(staff)
    .where(
      and(
        eq(staff.role, 'curator'),
        eq(staff.active, true),
        isNotNull(staff.passphraseHash),
        ne(staff.id, id),
      ),
    )
  if (!others?.count) throw new KobrinProblem('last_curator')
}

/** A new code for somebody; one that was given before is good no more. */
async function codeFor(tx: Transaction, { author }: Changing, person: string): Promise<GivenCode> {
  const code = newCode()
  const until = new Date(Date.parse(author.at) + CODE_HOURS * 3_600_000).toISOString()
  const given = { codeHash: hashed(code), givenBy: author.by ?? person, until }
  await tx
    .insert(invitation)
    .values({ staffId: person, ...given })
    .onDuplicateKeyUpdate({ set: given })
  return { person, code: shownCode(code), until }
}

/** Ends every sign-in of somebody but the one whose token this is. */
async function endShifts(tx: Transaction, at: string, person: string, but = ''): Promise<void> {
  await tx.execute(
    sql`update session set ended_at = ${sqlMoment(new Date(at))}
        where staff_id = ${person} and ended_at is null and token_hash <> ${hashed(but)}`,
  )
}

/** Throws `login_taken`. */
export function addPerson(by: Changing, kept: KeepPerson): Promise<GivenCode> {
  return changing(by, async (tx) => {
    const id = uuidv7()
    await requireFreeLogin(tx, kept.login, id)
    await tx.insert(staff).values({ id, ...kept })
    return { changes: changed(id, 'added'), answer: await codeFor(tx, by, id) }
  })
}

/** Throws `unknown_person`, `login_taken`, `own_role`, `last_curator`. */
export function keepPerson(by: Changing, id: string, kept: KeepPerson): Promise<void> {
  return changing(by, async (tx) => {
    const before = await found(tx, id)
    await requireFreeLogin(tx, kept.login, id)
    if (before.role !== kept.role) {
      if (id === by.author.by) throw new KobrinProblem('own_role')
      if (before.role === 'curator' && before.active) await requireAnotherCurator(tx, id)
    }
    await tx.update(staff).set(kept).where(eq(staff.id, id))
    return { changes: changed(id, 'kept'), answer: undefined }
  })
}

/** Throws `unknown_person`. */
export function giveCode(by: Changing, id: string): Promise<GivenCode> {
  return changing(by, async (tx) => {
    await found(tx, id)
    return { changes: changed(id, 'code'), answer: await codeFor(tx, by, id) }
  })
}

/** They come in no more, from this moment on; their name stays on what they did. Throws `unknown_person`,
 * `last_curator`. */
export function letGo(by: Changing, id: string): Promise<void> {
  return changing(by, async (tx) => {
    const before = await found(tx, id)
    if (!before.active) return { changes: [], answer: undefined }
    if (before.role === 'curator') await requireAnotherCurator(tx, id)
    await tx.update(staff).set({ active: false }).where(eq(staff.id, id))
    await tx.delete(invitation).where(eq(invitation.staffId, id))
    await endShifts(tx, by.author.at, id)
    return { changes: changed(id, 'left'), answer: undefined }
  })
}

/** Throws `unknown_person`. */
export function letBack(by: Changing, id: string): Promise<void> {
  return changing(by, async (tx) => {
    const before = await found(tx, id)
    if (before.active) return { changes: [], answer: undefined }
    await tx.update(staff).set({ active: true }).where(eq(staff.id, id))
    return { changes: changed(id, 'returned'), answer: undefined }
  })
}

/** A passphrase chosen with a code, which is used up by it; anyone who was signed in under that name is not any
 * more. Throws `wrong_code` where somebody else was quicker. */
export async function useCode(
  by: Changing,
  { person, code, passphrase }: { person: string; code: string; passphrase: string },
): Promise<void> {
  const passphraseHash = await hashSecret(passphrase)
  await changing(by, async (tx) => {
    const [used] = await tx
      .delete(invitation)
      .where(and(eq(invitation.staffId, person), eq(invitation.codeHash, hashed(code))))
    if (used.affectedRows === 0) throw new KobrinProblem('wrong_code')
    await tx.update(staff).set({ passphraseHash }).where(eq(staff.id, person))
    await endShifts(tx, by.author.at, person)
    return { changes: changed(person, 'passphrase'), answer: undefined }
  })
}

/** Another passphrase of one's own: other sign-ins than this one end. */
export async function choosePassphrase(
  by: Changing,
  { person, passphrase, token }: { person: string; passphrase: string; token: string },
): Promise<void> {
  const passphraseHash = await hashSecret(passphrase)
  await changing(by, async (tx) => {
    await tx.update(staff).set({ passphraseHash }).where(eq(staff.id, person))
    await endShifts(tx, by.author.at, person, token)
    return { changes: changed(person, 'passphrase'), answer: undefined }
  })
}

export async function chooseUnits(by: Changing, person: string, units: Units): Promise<void> {
  await changing(by, async (tx) => {
    await tx.update(staff).set({ units }).where(eq(staff.id, person))
    return { changes: changed(person, 'units'), answer: undefined }
  })
}

export async function choosePin(by: Changing, person: string, pin: string | null): Promise<void> {
  const pinHash = pin === null ? null : await hashSecret(pin)
  await changing(by, async (tx) => {
    await tx.update(staff).set({ pinHash }).where(eq(staff.id, person))
    return { changes: changed(person, 'pin'), answer: undefined }
  })
}
