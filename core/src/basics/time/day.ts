import * as z from 'zod/mini'

/** A civil day, as the number of days since 1970-01-01 on the site's own calendar, from 1900 to 2200.
 * The difference of two days is a count of civil days; no clock time, no time zone. */
export const Day = z.int().check(z.minimum(-25_567, 'before 1900'), z.maximum(84_370, 'after 2200'))
export type Day = number

/** Monday is 1 and Sunday is 7, as in ISO 8601. */
export type Weekday = 1 | 2 | 3 | 4 | 5 | 6 | 7

const MS_PER_DAY = 86_400_000

export function weekdayOf(day: Day): Weekday {
  // 1970-01-01 was a Thursday.
  return (((((Math.floor(day) + 3) % 7) + 7) % 7) + 1) as Weekday
}

/** `YYYY-MM-DD` of a whole day. */
export function isoDay(day: Day): string {
  return new Date(Math.floor(day) * MS_PER_DAY).toISOString().slice(0, 10)
}

/** The day of a `YYYY-MM-DD` string. NaN when the string is not a calendar date. */
export function dayFromIso(iso: string): Day {
  return Date.parse(`${iso}T00:00:00Z`) / MS_PER_DAY
}
