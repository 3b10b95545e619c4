import type { Person, StaffLine } from '@kobrin/contract'
import type { Role } from '@kobrin/core'
import { and, desc, eq, gt, max } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { invitation, session, staff } from './tables.ts'
import { hashed } from './token.ts'

const person = {
  id: staff.id,
  name: staff.name,
  initials: staff.initials,
  role: staff.role,
  competences: staff.competences,
  units: staff.units,
}

export function everyone(db: Database | Transaction): Promise<Person[]> {
  return db.select(person).from(staff).orderBy(staff.name)
}

/** Those who can take over an enrolled tablet: active, with a PIN. */
export async function withPin(db: Database): Promise<Person[]> {
  const rows = await db
    .select({ ...person, pinHash: staff.pinHash })
    .from(staff)
    .where(eq(staff.active, true))
    .orderBy(staff.name)
  return rows.filter(({ pinHash }) => pinHash !== null).map(({ pinHash: _secret, ...shown }) => shown)
}

export async function byLogin(db: Database, login: string) {
  const [row] = await db
    .select()
    .from(staff)
    .where(and(eq(staff.login, login), eq(staff.active, true)))
  // The database takes more spellings for the same name than we do.
  return row?.login === login ? row : null
}

export async function byId(db: Database, id: string) {
  const [row] = await db
    .select()
    .from(staff)
    .where(and(eq(staff.id, id), eq(staff.active, true)))
  return row ?? null
}

export async function roleOf(db: Database, id: string): Promise<Role | null> {
  return (await byId(db, id))?.role ?? null
}

/** Everybody who works here or did, those who come in first. */
export async function staffLines(db: Database, at: string): Promise<StaffLine[]> {
  const rows = await db.select().from(staff).orderBy(desc(staff.active), staff.name)
  const codes = new Map(
    (await db.select().from(invitation).where(gt(invitation.until, at))).map((row) => [
      row.staffId,
      row.until,
    ]),
  )
  const lastSignIns = new Map(
    (
      await db
        .select({ id: session.staffId, last: max(session.createdAt) })
        .from(session)
        .groupBy(session.staffId)
    ).map(({ id, last }) => [id, last]),
  )
  return rows.map(({ passphraseHash, pinHash, ...row }) => ({
    ...row,
    hasPassphrase: passphraseHash !== null,
    hasPin: pinHash !== null,
    codeUntil: codes.get(row.id) ?? null,
    lastSignIn: lastSignIns.get(row.id) ?? null,
  }))
}

/** Whether a code that was given to somebody is good. */
export async function isCodeOf(db: Database, id: string, { code, at }: { code: string; at: string }) {
  const [row] = await db
    .select({ codeHash: invitation.codeHash })
    .from(invitation)
    .where(and(eq(invitation.staffId, id), gt(invitation.until, at)))
  return row?.codeHash === hashed(code)
}
