import { convert } from '../basics/units/convert.ts'

/** A number with its unit, wherever in a line it stands. A sign may stand apart from the digits. */
const READING = /(?:([+-])\s*|(?<![\w.,]))(\d+(?:[.,]\d+)?)\s*(kg|mg|g|oz|lb)(?![a-z])/i

type MassUnit = 'kg' | 'mg' | 'g' | 'oz' | 'lb'

/** What one line of a balance says, in grams and with the step it is shown in; null where it says no weight.
 *
 * The line may say anything else beside it: what counts is the first number with a unit of mass behind it, with
 * point or comma. */
export function readBalanceLine(line: string): { grams: number; step: number } | null {
  const [, sign = '', digits = '', name = ''] = READING.exec(line) ?? []
  if (digits === '') return null
  const decimals = digits.split(/[.,]/)[1]?.length ?? 0
  const inGrams = (value: number) => convert(value, name.toLowerCase() as MassUnit, 'g')
  const grams = inGrams(Number(`${sign}${digits.replace(',', '.')}`))
  const step = inGrams(10 ** -decimals)
  return grams === null || step === null ? null : { grams, step }
}
