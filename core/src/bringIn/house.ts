import type { Bounds } from '../plans/plausible/plausible.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import type { Civil } from '../basics/time/civil.ts'
import type { Hemisphere } from '../basics/time/hemisphere.ts'

/** Somebody a row may speak of. */
export interface KnownResident {
  id: string
  number: string
  name: string
  sheet: string
  stage: string
  /** The box it lives in. */
  place: string | null
}

/** What a house knows that rows are held against. */
export interface House {
  residents: readonly KnownResident[]
  sheets: readonly Sheet[]
  /** Boxes by what their place is called, "Tar Room · Rack 2 · shelf 1, place 3": a room or bay has many. */
  boxes: readonly { id: string; name: string; taken: boolean }[]
  /** What is plausible of a stage of a sheet. */
  boundsOf: (sheet: string, stage: string) => Bounds | undefined
  now: Civil
  hemisphere?: Hemisphere | undefined
  says: {
    /** Why a hold after a molt of long ago is over. */
    longPast: string
    /** What was offered, where nobody wrote it down. */
    someFood: string
  }
}

/** Words as they are compared: without capitals and needless blanks. */
export function plain(text: string): string {
  return text.trim().toLowerCase().replace(/\s+/g, ' ')
}

/** Puts one more under a key. */
export function listed<T>(map: Map<string, T[]>, key: string, one: T): void {
  const before = map.get(key)
  if (before) before.push(one)
  else map.set(key, [one])
}
