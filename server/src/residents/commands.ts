import type { KeepEnclosure, NewResident } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { emptyState } from '@kobrin/core'
import { eq, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { residentState } from '../entries/tables.ts'
import { KobrinProblem } from '../errors/problem.ts'
import type { Author } from '../plans/author.ts'
import { recordPlanChange } from '../plans/commands.ts'
import { enclosureExists } from '../site/queries.ts'
import * as tables from '../site/tables.ts'

const NUMBER_DIGITS = 4

/** Puts somebody new on the register and says its number. Asked twice with one id it is there once. */
export async function addResident(
  db: Database,
  given: NewResident,
  author: Author,
): Promise<{ accession: string; isNew: boolean }> {
  const { id, name, stage, sex, hatchedOn } = given
  if (!(await enclosureExists(db, given.enclosure))) throw new KobrinProblem('unknown_place')
  return db.transaction(async (tx) => {
    const [sheet] = await tx.select().from(tables.sheet).where(eq(tables.sheet.id, given.sheet))
    if (!sheet) throw new KobrinProblem('unknown_sheet')
    if (!sheet.doc.stages.some((one) => one.id === stage)) throw new KobrinProblem('unknown_stage')
    const [known] = await tx.select().from(tables.resident).where(eq(tables.resident.id, id))
    if (known) return { accession: known.accession, isNew: false }
    // The settings' row is the lock: numbers are given out one at a time.
    await tx.select({ id: tables.site.id }).from(tables.site).for('update')
    const [last] = await rowsOf<{ number: number | null }>(
      tx,
      sql`select max(cast(accession as unsigned)) as number from resident`,
    )
    const accession = String((last?.number ?? 0) + 1).padStart(NUMBER_DIGITS, '0')
    await tx.insert(tables.resident).values({
      id,
      accession,
      name,
      stage,
      sex,
      hatchedOn,
      sheetId: given.sheet,
      headcount: given.count,
      barrier: null,
      schools: {},
    })
    await recordPlanChange(tx, {
      ...author,
      kind: 'resident',
      sheet: given.sheet,
      resident: id,
      what: `${given.comes === 'expected' ? 'Expected' : 'New'}: ${name}`,
      reason: given.from ?? 'Put on record',
    })
    await tx.insert(residentState).values({ residentId: id, lastSeq: 0, state: emptyState() })
    return { accession, isNew: true }
  })
}

/** The first entry of somebody new. */
export function firstEntry({ id, comes, enclosure, from }: NewResident, { by, at, day }: Author): Entry {
  const stamp = { uid: uuidv7(), residentId: id, occurredAt: at, day, author: by }
  return comes === 'expected'
    ? { ...stamp, kind: 'expected', payload: { enclosure, ...(from && { from }) } }
    : { ...stamp, kind: 'arrived', payload: { enclosure, ...(from && { source: from }) } }
}

/** Writes down how an enclosure is built; its history is kept by the table. */
export async function keepEnclosure(
  db: Database,
  id: string,
  { build, widthMm, depthMm, heightMm }: KeepEnclosure,
  author: Author,
): Promise<void> {
  await db.transaction(async (tx) => {
    const [known] = await tx.select().from(tables.enclosure).where(eq(tables.enclosure.id, id)).for('update')
    if (!known) throw new KobrinProblem('unknown_place')
    await tx
      .update(tables.enclosure)
      .set({ build, widthMm, depthMm, heightMm })
      .where(eq(tables.enclosure.id, id))
    await recordPlanChange(tx, {
      ...author,
      kind: 'enclosure',
      what: id,
      reason: 'As it stands now',
    })
  })
}
