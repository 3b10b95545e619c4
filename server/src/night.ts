import { civil } from '@kobrin/core'

/** From when in the night a house has the machine to itself, by its own clock. */
const NIGHT_HOURS = { from: 2, until: 5 } as const

export function isNight(hourHere: number): boolean {
  return hourHere >= NIGHT_HOURS.from && hourHere < NIGHT_HOURS.until
}

/** The hour of the day in a zone. */
export function hourIn(zone: string, now: Date): number {
  return Math.floor(civil(now.getTime(), zone).minute / 60)
}
