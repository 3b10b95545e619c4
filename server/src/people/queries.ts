import type { Person } from '@kobrin/contract'
import type { Role } from '@kobrin/core'
import { and, eq } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { staff } from './tables.ts'

const person = {
  id: staff.id,
  name: staff.name,
  initials: staff.initials,
  role: staff.role,
  competences: staff.competences,
}

export function everyone(db: Database): Promise<Person[]> {
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
