import { civil } from '@kobrin/core'

const DAY_MS = 86_400_000
const MINUTE_MS = 60_000

/** UTC milliseconds of a wall-clock minute of a civil day in a zone. */
export function instantOf(day: number, minute: number, zone: string): number {
  const guess = day * DAY_MS + minute * MINUTE_MS
  const told = civil(guess, zone)
  const off = (told.day - day) * 1440 + told.minute - Math.floor(minute)
  return guess - off * MINUTE_MS
}
