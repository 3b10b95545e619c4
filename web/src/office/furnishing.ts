import type { Bay, Enclosure, KeepBay, PastBay } from '@kobrin/contract'
import type { Box, StandingBox } from '@kobrin/core'
import { boxMoved } from '@kobrin/core'
import type { Turn } from '../machines/useMachine.ts'

type Shelves = KeepBay['shelves']

/** A bay that is being furnished: what was done can be taken back step by step until it is kept. */
export interface Furnishing {
  bay: KeepBay
  /** Its shelves before each step. */
  past: readonly Shelves[]
  /** The box in hand. */
  chosen: string | null
}

export type FurnishingEvent =
  | { type: 'typed'; part: Partial<KeepBay> }
  | { type: 'chosen'; id: string }
  | { type: 'put'; id: string; to: { shelf: number; column: number } }
  /** The one in hand by so many places or shelves. */
  | { type: 'nudged'; by: { shelf?: number; column?: number } }
  | { type: 'resized'; size: Partial<Box> }
  | { type: 'added'; shelf: number; boxes: readonly StandingBox[] }
  /** The one in hand once more, with an identity of its own. */
  | { type: 'copied'; as: string }
  | { type: 'takenAway' }
  | { type: 'shelfAdded' }
  | { type: 'shelfDropped'; shelf: number }
  | { type: 'undone' }
  /** Drawn as it stood once; it is so when it is kept. */
  | { type: 'redrawn'; layout: PastBay['layout'] }
  /** Begun again from what is on record. */
  | { type: 'takenUp'; bay: KeepBay }

/** As a bay stands on record. */
export function layoutOf(bay: Bay, enclosures: Iterable<Enclosure>): KeepBay {
  const shelves: StandingBox[][] = []
  const here = [...enclosures]
    .filter(({ bayId, retired }) => bayId === bay.id && !retired)
    .sort((a, b) => a.row - b.row || a.column - b.column)
  for (const { id, row, widthMm, depthMm, heightMm } of here)
    (shelves[row] ??= []).push({ id, widthMm, depthMm, heightMm })
  return {
    name: bay.name,
    barrier: bay.barrier,
    widthMm: bay.widthMm,
    shelves: Array.from({ length: shelves.length }, (_, row) => shelves[row] ?? []),
    version: bay.version,
  }
}

export function begun(bay: KeepBay): Furnishing {
  return { bay, past: [], chosen: null }
}

/** The box in hand. */
export function boxOf({ bay, chosen }: Furnishing): StandingBox | null {
  return bay.shelves.flat().find(({ id }) => id === chosen) ?? null
}

function placeOf({ bay, chosen }: Furnishing): { shelf: number; column: number } {
  const shelf = bay.shelves.findIndex((boxes) => boxes.some(({ id }) => id === chosen))
  return { shelf, column: bay.shelves[shelf]?.findIndex(({ id }) => id === chosen) ?? -1 }
}

/** The longest shelf as it is drawn, mm. */
export function longestMm({ bay }: Furnishing): number {
  const taken = bay.shelves.map((boxes) => boxes.reduce((sum, { widthMm }) => sum + widthMm, 0))
  return Math.max(bay.widthMm ?? 0, 1, ...taken)
}

function stepped(now: Furnishing, shelves: Shelves, chosen = now.chosen): Furnishing {
  return { bay: { ...now.bay, shelves }, past: [...now.past, now.bay.shelves], chosen }
}

function put(now: Furnishing, id: string, to: { shelf: number; column: number }): Furnishing {
  return stepped(
    now,
    boxMoved(now.bay, id, to).shelves.map((boxes) => [...boxes]),
    id,
  )
}

function nudged(now: Furnishing, by: { shelf?: number; column?: number }): Furnishing {
  const box = boxOf(now)
  const { shelf, column } = placeOf(now)
  const to = { shelf: shelf + (by.shelf ?? 0), column: column + (by.column ?? 0) }
  const isThere = to.shelf >= 0 && to.shelf < now.bay.shelves.length && to.column >= 0
  return box && isThere ? put(now, box.id, to) : now
}

function copied(now: Furnishing, as: string): Furnishing {
  const box = boxOf(now)
  if (!box) return now
  const { shelf, column } = placeOf(now)
  const withCopy = now.bay.shelves.map((boxes, index) =>
    index === shelf ? [...boxes.slice(0, column + 1), { ...box, id: as }, ...boxes.slice(column + 1)] : boxes,
  )
  return stepped(now, withCopy, as)
}

function undone(now: Furnishing): Furnishing {
  const last = now.past.at(-1)
  return last ? { ...now, bay: { ...now.bay, shelves: last }, past: now.past.slice(0, -1) } : now
}

function after(now: Furnishing, event: FurnishingEvent): Furnishing {
  const { bay, chosen } = now
  switch (event.type) {
    case 'typed':
      return { ...now, bay: { ...bay, ...event.part } }
    case 'chosen':
      return { ...now, chosen: event.id }
    case 'put':
      return put(now, event.id, event.to)
    case 'nudged':
      return nudged(now, event.by)
    case 'resized':
      return stepped(
        now,
        bay.shelves.map((boxes) => boxes.map((one) => (one.id === chosen ? { ...one, ...event.size } : one))),
      )
    case 'added':
      return stepped(
        now,
        bay.shelves.map((there, index) => (index === event.shelf ? [...there, ...event.boxes] : there)),
        event.boxes[0]?.id ?? null,
      )
    case 'copied':
      return copied(now, event.as)
    case 'takenAway':
      return stepped(
        now,
        bay.shelves.map((boxes) => boxes.filter(({ id }) => id !== chosen)),
        null,
      )
    case 'shelfAdded':
      return stepped(now, [...bay.shelves, []])
    case 'shelfDropped':
      return stepped(
        now,
        bay.shelves.filter((_, index) => index !== event.shelf),
      )
    case 'undone':
      return undone(now)
    case 'redrawn': {
      const { shelves, ...rest } = event.layout
      return stepped({ ...now, bay: { ...bay, ...rest } }, shelves, null)
    }
    case 'takenUp':
      return begun(event.bay)
  }
}

/** What an event makes of a bay that is being furnished. */
export function furnish(now: Furnishing, event: FurnishingEvent): Turn<Furnishing> {
  return { now: after(now, event) }
}
