import type { Day } from '../../basics/time/day.ts'
import type { LotState } from '../../facts/lots/lotState.ts'

/** Old floor that is still kept: the lot it is, and what is known of it. */
export interface KeptFloor {
  lot: string
  floor: NonNullable<LotState['floor']>
}

/** The floor of a lot, while it is kept. */
export function keptFloor(lot: string, { floor, disposed }: LotState): KeptFloor | null {
  return floor && !disposed ? { lot, floor } : null
}

/** The day old floor may be thrown away: where something lived in it, the time starts over from then. */
export function releasedFrom({ floor }: KeptFloor, days: number): Day {
  return (floor.foundOn ?? floor.day) + days
}
