import { TZDate } from '@date-fns/tz'

const DAY_MS = 86_400_000

/** UTC milliseconds of a wall-clock minute of a civil day in a zone. */
export function instantOf(day: number, minute: number, zone: string): number {
  const date = new Date(day * DAY_MS)
  const [year, month, dayOfMonth] = [date.getUTCFullYear(), date.getUTCMonth(), date.getUTCDate()]
  return new TZDate(year, month, dayOfMonth, 0, minute, zone).getTime()
}
