import type { KeepBay, PastBay } from '@kobrin/contract'
import { emptyBuild, layoutFaults } from '@kobrin/core'
import { desc, eq, inArray, sql } from 'drizzle-orm'
import type { Changing } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { subject } from '../entries/tables.ts'
import { KobrinProblem } from '../errors/problem.ts'
import { beginHistories, foundBay, ofBay, requireFreeBayName } from './rooms.ts'
import { bay, bayPast, enclosure } from './tables.ts'

/** Nobody looks further back than so many changes. */
const PAST_MOST = 30

/** A box as it shall stand. */
interface Standing {
  id: string
  shelf: number
  slot: number
  widthMm: number
  depthMm: number
  heightMm: number
  retired: boolean
}

function standingIn(shelves: KeepBay['shelves']): Standing[] {
  return shelves.flatMap((boxes, shelf) =>
    boxes.map((box, slot) => ({ ...box, id: box.id.toLowerCase(), shelf, slot, retired: false })),
  )
}

/** Those of the boxes in which somebody lives, or is awaited. */
async function livedIn(tx: Transaction, ids: readonly string[]): Promise<number> {
  const rows = await rowsOf(
    tx,
    sql`select id from subject where family = 'resident'
          and id in (select other from touch where subject in ${ids})
          and (json_value(state, '$.stay.place.enclosure') in ${ids}
            or json_value(state, '$.stay.expected.enclosure') in ${ids})
          and json_type(json_extract(state, '$.stay.ended')) = 'NULL'
        limit 1 lock in share mode`,
  )
  return rows.length
}

/** Of the boxes, those about which anything is on record. */
async function remembered(tx: Transaction, ids: readonly string[]): Promise<Set<string>> {
  const rows = await rowsOf<{ id: string }>(
    tx,
    sql`select subject as id from touch where subject in ${ids} lock in share mode`,
  )
  const written = await rowsOf<{ id: string }>(
    tx,
    sql`select id from subject where id in ${ids} and version > 0 lock in share mode`,
  )
  return new Set([...rows, ...written].map(({ id }) => id))
}

/** Takes boxes away: what held anybody, or was written about, is retired and stays on record. */
async function takeAway(tx: Transaction, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return
  // Whoever is just being moved into one of them writes about it too: one of the two waits, and is told what the other did.
  await rowsOf(tx, sql`select id from subject where id in ${ids} for update`)
  if (await livedIn(tx, ids)) throw new KobrinProblem('still_lived_in')
  const known = await remembered(tx, ids)
  const [retired, gone] = [ids.filter((id) => known.has(id)), ids.filter((id) => !known.has(id))]
  if (retired.length > 0)
    await tx.update(enclosure).set({ retired: true }).where(inArray(enclosure.id, retired))
  if (gone.length > 0) {
    await tx.delete(enclosure).where(inArray(enclosure.id, gone))
    await tx.delete(subject).where(inArray(subject.id, gone))
  }
}

function isAsBefore(before: Standing, after: Standing): boolean {
  return (Object.keys(after) as (keyof Standing)[]).every((field) => before[field] === after[field])
}

type BayRow = typeof bay.$inferSelect
type BoxRow = typeof enclosure.$inferSelect

/** A bay as it stands on record: shelves from the top, boxes from the left. */
function asItStood({ name, barrier, widthMm }: BayRow, boxes: readonly BoxRow[]): PastBay['layout'] {
  const standing = boxes.filter(({ retired }) => !retired)
  const count = Math.max(-1, ...standing.map(({ shelf }) => shelf)) + 1
  const shelves = Array.from({ length: count }, (_, row) =>
    standing
      .filter(({ shelf }) => shelf === row)
      .sort((a, b) => a.slot - b.slot)
      .map((box) => ({
        id: box.id,
        widthMm: box.widthMm,
        depthMm: box.depthMm,
        heightMm: box.heightMm,
      })),
  )
  return { name, barrier, widthMm, shelves }
}

/** How a bay stood before, the latest first. */
export async function pastOf(db: Database, id: string): Promise<PastBay[]> {
  const rows = await db
    .select()
    .from(bayPast)
    .where(eq(bayPast.bayId, id))
    .orderBy(desc(bayPast.version))
    .limit(PAST_MOST)
  return rows.map(({ bayId: _bay, ...past }) => past)
}

/** Furnishes a bay again, all or nothing. Throws `no_such_place`, `changed_meanwhile`, `name_taken`,
 * `wider_than_shelf`, `still_lived_in`. */
export function furnish(by: Changing, id: string, kept: KeepBay): Promise<void> {
  const { name, barrier, widthMm, shelves } = kept
  const [fault] = layoutFaults({ widthMm, shelves })
  return changing(by, async (tx) => {
    const before = await foundBay(tx, id)
    if (fault) throw new KobrinProblem(fault.code === 'twice' ? 'bad_input' : 'wider_than_shelf')
    if (before.version !== kept.version) throw new KobrinProblem('changed_meanwhile')
    await requireFreeBayName(tx, { id, name, roomId: before.roomId })
    const there = await tx.select().from(enclosure).where(eq(enclosure.bayId, id))
    const known = new Map(there.map((box) => [box.id, box]))
    const standing = standingIn(shelves)
    const wanted = new Set(standing.map((box) => box.id))
    await takeAway(
      tx,
      there.filter((box) => !box.retired && !wanted.has(box.id)).map((box) => box.id),
    )
    for (const box of standing) {
      const old = known.get(box.id)
      if (old && !isAsBefore(old, box)) await tx.update(enclosure).set(box).where(eq(enclosure.id, box.id))
    }
    const added = standing.filter((box) => !known.has(box.id))
    await requireUnknown(tx, added)
    if (added.length > 0)
      await tx.insert(enclosure).values(added.map((box) => ({ ...box, bayId: id, build: emptyBuild() })))
    await beginHistories(
      tx,
      added.map((box) => box.id),
    )
    await tx.insert(bayPast).values({
      bayId: id,
      version: before.version,
      until: by.author.at,
      by: by.author.by,
      layout: asItStood(before, there),
    })
    await tx
      .update(bay)
      .set({ name, barrier, widthMm, version: before.version + 1 })
      .where(eq(bay.id, id))
    return { changes: ofBay({ id, name }, 'kept'), answer: undefined }
  })
}

/** A box stands in one bay: what is somewhere else, or was something else, is no new box. */
async function requireUnknown(tx: Transaction, added: readonly Standing[]): Promise<void> {
  if (added.length === 0) return
  const ids = added.map(({ id }) => id)
  const others = await tx.select({ id: subject.id }).from(subject).where(inArray(subject.id, ids))
  if (others.length > 0) throw new KobrinProblem('known_subject')
}
