import * as z from 'zod/mini'
import type { Day } from './day.ts'
import { isoDay } from './day.ts'

const date = z
  .string()
  .check(z.regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'month and day, such as 05-15'))

/** A part of the year, both dates counted, which may go over the new year. Shipped sheets say it for a house in
 * the north; a house in the south writes its own. */
export const Season = z.strictObject({ from: date, until: date })
export type Season = z.infer<typeof Season>

/** A part of the year as it falls on the other half of the earth: half a year on. */
export function turned({ from, until }: Season): Season {
  const half = (date: string) => {
    const month = ((Number(date.slice(0, 2)) + 5) % 12) + 1
    // No month is too short for a day that is compared as text.
    return `${String(month).padStart(2, '0')}${date.slice(2)}`
  }
  return { from: half(from), until: half(until) }
}

const datesOfDays = new Map<Day, string>()

/** `MM-DD` of a day: whole seasons are gone through day by day. */
function dateOf(day: Day): string {
  const known = datesOfDays.get(day)
  if (known !== undefined) return known
  const said = isoDay(day).slice(5)
  datesOfDays.set(day, said)
  return said
}

/** Whether a day lies in a part of the year. */
export function isInSeason({ from, until }: Season, day: Day): boolean {
  const today = dateOf(day)
  return from <= until ? from <= today && today <= until : from <= today || today <= until
}
