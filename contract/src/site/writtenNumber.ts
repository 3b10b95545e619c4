import type { KeepHouse } from './houseRoutes.ts'

/** Stands in a prefix for the year in which a number is given out. */
export const YEAR = '{year}'

/** A place in the order of numbers, written as the house writes them. */
export function writtenNumber(
  { prefix, digits }: Pick<KeepHouse, 'prefix' | 'digits'>,
  place: number,
  year: number,
): string {
  return `${prefix.replace(YEAR, String(year))}${String(place).padStart(digits, '0')}`
}
