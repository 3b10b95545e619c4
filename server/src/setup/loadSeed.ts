import type { SiteSeed } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { isoDay, replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { sqlInstant } from '../database/columns.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { residentState } from '../entries/tables.ts'
import { renewLibrary } from '../library/commands.ts'
import { recordPlanChange, sayChange } from '../plans/commands.ts'
import { hashSecret } from '../people/passphrase.ts'
import { staff } from '../people/tables.ts'
import * as site from '../site/tables.ts'

const ROWS_PER_INSERT = 2000
const STATES_PER_INSERT = 200

async function inChunks<T>(
  rows: readonly T[],
  size: number,
  insert: (chunk: T[]) => Promise<unknown>,
): Promise<void> {
  for (let at = 0; at < rows.length; at += size) await insert(rows.slice(at, at + size))
}

async function loadPeople(tx: Transaction, seed: SiteSeed): Promise<void> {
  const rows = await Promise.all(
    seed.people.map(async ({ passphrase, pin, ...person }) => ({
      ...person,
      passphraseHash: await hashSecret(passphrase),
      pinHash: pin === null ? null : await hashSecret(pin),
    })),
  )
  await tx.insert(staff).values(rows)
}

async function loadPlaces(tx: Transaction, seed: SiteSeed): Promise<void> {
  const { name, zone, schools } = seed
  await tx.insert(site.site).values({ id: 1, name, zone, schools })
  await tx.insert(site.room).values(
    seed.rooms.map(({ order, celsius, ...room }) => ({
      ...room,
      walkOrder: order,
      coolest: celsius?.[0] ?? null,
      warmest: celsius?.[1] ?? null,
    })),
  )
  await tx.insert(site.bay).values(seed.bays.map(({ order, ...bay }) => ({ ...bay, walkOrder: order })))
  await inChunks(
    seed.enclosures.map(({ row, column, ...box }) => ({ ...box, shelf: row, slot: column })),
    ROWS_PER_INSERT,
    (chunk) => tx.insert(site.enclosure).values(chunk),
  )
}

async function loadResidents(tx: Transaction, seed: SiteSeed): Promise<void> {
  await inChunks(
    seed.residents.map(({ sheet, count, ...resident }) => ({
      ...resident,
      sheetId: sheet,
      headcount: count,
    })),
    ROWS_PER_INSERT,
    (chunk) => tx.insert(site.resident).values(chunk),
  )
  const numbered = seed.overrides.map((row, number) => ({ ...row, number }))
  if (numbered.length === 0) return
  await tx.insert(site.planOverride).values(numbered)
  const sheetOf = new Map(seed.residents.map(({ id, sheet }) => [id, sheet]))
  for (const { target, change } of seed.overrides)
    await recordPlanChange(tx, {
      at: change.at ?? `${isoDay(change.on)}T08:00:00.000Z`,
      day: change.on,
      by: change.by,
      kind: 'override',
      ...(sheetOf.has(target) ? { resident: target, sheet: sheetOf.get(target) ?? '' } : { sheet: target }),
      what: sayChange(change),
      reason: change.reason,
    })
}

function byResident(entries: readonly Entry[]): Map<string, { lastSeq: number; entries: Entry[] }> {
  const grouped = new Map<string, { lastSeq: number; entries: Entry[] }>()
  entries.forEach((entry, index) => {
    const group = grouped.get(entry.residentId) ?? { lastSeq: 0, entries: [] }
    group.entries.push(entry)
    group.lastSeq = index + 1
    grouped.set(entry.residentId, group)
  })
  return grouped
}

async function loadEntries(tx: Transaction, entries: readonly Entry[]): Promise<void> {
  let seq = 0
  await inChunks(entries, ROWS_PER_INSERT, async (chunk) => {
    const rows = chunk.map((entry) => {
      seq += 1
      const at = sqlInstant(entry.occurredAt)
      return sql`(${entry.residentId}, ${at}, ${seq}, ${entry.uid}, ${entry.kind}, ${isoDay(entry.day)}, ${at}, ${entry.author}, ${JSON.stringify(entry.payload)})`
    })
    await tx.execute(
      sql`insert into entry (resident_id, occurred_at, seq, uid, kind, day, recorded_at, author_id, payload) values ${sql.join(rows, sql`, `)}`,
    )
  })
  await tx.execute(sql`update feed_counter set seq = ${entries.length} where id = 1`)
}

async function loadStates(tx: Transaction, seed: SiteSeed): Promise<void> {
  const histories = byResident(seed.entries)
  const rows = seed.residents.map(({ id }) => {
    const { lastSeq, entries } = histories.get(id) ?? { lastSeq: 0, entries: [] }
    return { residentId: id, lastSeq, state: replay(entries) }
  })
  await inChunks(rows, STATES_PER_INSERT, (chunk) => tx.insert(residentState).values(chunk))
}

/** Whether nothing has been set up in this database yet. */
export async function isEmpty(db: Database): Promise<boolean> {
  const rows = await rowsOf(db, sql`select id from site`)
  return rows.length === 0
}

/** Sets up a site with its people, places, residents and whole history, all or nothing. */
export async function loadSeed(db: Database, seed: SiteSeed): Promise<void> {
  await renewLibrary(db, seed.sheets)
  await db.transaction(async (tx) => {
    await loadPeople(tx, seed)
    await loadPlaces(tx, seed)
    await loadResidents(tx, seed)
    await loadEntries(tx, seed.entries)
    await loadStates(tx, seed)
  })
}
