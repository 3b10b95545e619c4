import type { KeepRoom, NewBay, PlaceChange } from '@kobrin/contract'
import { emptyState } from '@kobrin/core'
import { and, asc, count, eq, ne } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Changing, NewChange } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import type { Transaction } from '../database/connect.ts'
import { subject } from '../entries/tables.ts'
import { KobrinProblem } from '../errors/problem.ts'
import { bay, enclosure, room } from './tables.ts'

interface Named {
  id: string
  name: string
}

function ofRoom({ id, name }: Named, what: PlaceChange): NewChange[] {
  return [{ what: { kind: 'room', room: id, name, what }, reason: '' }]
}

export function ofBay({ id, name }: Named, what: PlaceChange): NewChange[] {
  return [{ what: { kind: 'bay', bay: id, name, what }, reason: '' }]
}

/** A place has a history of its own from the moment it is there. */
export async function beginHistories(tx: Transaction, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return
  const state = emptyState('place')
  await tx
    .insert(subject)
    .values(ids.map((id) => ({ id, family: 'place' as const, version: 0, upTo: '', state })))
}

function columnsOf({ name, barrier, celsius }: KeepRoom) {
  return { name, barrier, coolest: celsius?.[0] ?? null, warmest: celsius?.[1] ?? null }
}

export async function foundRoom(tx: Transaction, id: string) {
  const [row] = await tx.select().from(room).where(eq(room.id, id))
  if (!row) throw new KobrinProblem('no_such_place')
  return row
}

export async function foundBay(tx: Transaction, id: string) {
  const [row] = await tx.select().from(bay).where(eq(bay.id, id))
  if (!row) throw new KobrinProblem('no_such_place')
  return row
}

async function requireFreeRoomName(tx: Transaction, name: string, id: string): Promise<void> {
  const [other] = await tx
    .select({ id: room.id })
    .from(room)
    .where(and(eq(room.name, name), ne(room.id, id)))
  if (other) throw new KobrinProblem('name_taken')
}

export async function requireFreeBayName(
  tx: Transaction,
  { id, name, roomId }: Named & { roomId: string },
): Promise<void> {
  const [other] = await tx
    .select({ id: bay.id })
    .from(bay)
    .where(and(eq(bay.roomId, roomId), eq(bay.name, name), ne(bay.id, id)))
  if (other) throw new KobrinProblem('name_taken')
}

/** Ids in walking order with one of them somewhere else: counted from 0, at the end where that is beyond it. */
function putIn(ids: readonly string[], id: string, at: number): string[] {
  const others = ids.filter((one) => one !== id)
  return [...others.slice(0, at), id, ...others.slice(at)]
}

async function roomIds(tx: Transaction): Promise<string[]> {
  const rows = await tx.select({ id: room.id }).from(room).orderBy(asc(room.walkOrder))
  return rows.map(({ id }) => id)
}

async function bayIds(tx: Transaction, roomId: string): Promise<string[]> {
  const rows = await tx
    .select({ id: bay.id })
    .from(bay)
    .where(eq(bay.roomId, roomId))
    .orderBy(asc(bay.walkOrder))
  return rows.map(({ id }) => id)
}

/** Throws `name_taken`. */
export function addRoom(by: Changing, kept: KeepRoom): Promise<{ id: string }> {
  return changing(by, async (tx) => {
    const id = uuidv7()
    await requireFreeRoomName(tx, kept.name, id)
    const walkOrder = (await roomIds(tx)).length
    await tx.insert(room).values({ id, walkOrder, ...columnsOf(kept) })
    await beginHistories(tx, [id])
    return { changes: ofRoom({ id, name: kept.name }, 'added'), answer: { id } }
  })
}

/** Throws `no_such_place`, `name_taken`. */
export function keepRoom(by: Changing, id: string, kept: KeepRoom): Promise<void> {
  return changing(by, async (tx) => {
    await foundRoom(tx, id)
    await requireFreeRoomName(tx, kept.name, id)
    await tx.update(room).set(columnsOf(kept)).where(eq(room.id, id))
    return { changes: ofRoom({ id, name: kept.name }, 'kept'), answer: undefined }
  })
}

/** Throws `no_such_place`. */
export function putRoom(by: Changing, id: string, at: number): Promise<void> {
  return changing(by, async (tx) => {
    const found = await foundRoom(tx, id)
    for (const [walkOrder, one] of putIn(await roomIds(tx), id, at).entries())
      await tx
        .update(room)
        .set({ walkOrder })
        .where(and(eq(room.id, one), ne(room.walkOrder, walkOrder)))
    return { changes: ofRoom(found, 'put'), answer: undefined }
  })
}

/** Throws `no_such_place`, `not_empty`. */
export function dropRoom(by: Changing, id: string): Promise<void> {
  return changing(by, async (tx) => {
    const found = await foundRoom(tx, id)
    if ((await bayIds(tx, id)).length > 0) throw new KobrinProblem('not_empty')
    await tx.delete(room).where(eq(room.id, id))
    return { changes: ofRoom(found, 'dropped'), answer: undefined }
  })
}

/** Throws `no_such_place`, `name_taken`. */
export function addBay(by: Changing, roomId: string, { name }: NewBay): Promise<{ id: string }> {
  return changing(by, async (tx) => {
    const id = uuidv7()
    await foundRoom(tx, roomId)
    await requireFreeBayName(tx, { id, name, roomId })
    const walkOrder = (await bayIds(tx, roomId)).length
    await tx.insert(bay).values({ id, roomId, name, walkOrder, barrier: null })
    await beginHistories(tx, [id])
    return { changes: ofBay({ id, name }, 'added'), answer: { id } }
  })
}

/** Throws `no_such_place`. */
export function putBay(by: Changing, id: string, at: number): Promise<void> {
  return changing(by, async (tx) => {
    const found = await foundBay(tx, id)
    for (const [walkOrder, one] of putIn(await bayIds(tx, found.roomId), id, at).entries())
      await tx
        .update(bay)
        .set({ walkOrder })
        .where(and(eq(bay.id, one), ne(bay.walkOrder, walkOrder)))
    return { changes: ofBay(found, 'put'), answer: undefined }
  })
}

/** Throws `no_such_place`, `not_empty`. */
export function dropBay(by: Changing, id: string): Promise<void> {
  return changing(by, async (tx) => {
    const found = await foundBay(tx, id)
    const [boxes] = await tx.select({ count: count() }).from(enclosure).where(eq(enclosure.bayId, id))
    if (boxes?.count) throw new KobrinProblem('not_empty')
    await tx.delete(bay).where(eq(bay.id, id))
    return { changes: ofBay(found, 'dropped'), answer: undefined }
  })
}
