const DAY_MS = 86_400_000

/** A civil day as a calendar on the screen has it: midnight of that day here. */
export function dateOfDay(day: number): Date {
  const utc = new Date(day * DAY_MS)
  return new Date(utc.getUTCFullYear(), utc.getUTCMonth(), utc.getUTCDate())
}

/** The civil day that a calendar on the screen shows, whatever the zone of the screen. */
export function dayOfDate(date: Date): number {
  return Date.UTC(date.getFullYear(), date.getMonth(), date.getDate()) / DAY_MS
}
