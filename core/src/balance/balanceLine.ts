import { convert } from '../basics/units/convert.ts'

type MassUnit = 'kg' | 'mg' | 'g' | 'oz' | 'lb'

/** What one line of a balance says. */
export interface BalanceLine {
  grams: number
  /** The step it is shown in, grams. */
  step: number
  /** The balance says itself that it is not at rest. */
  unstable?: true
}

/** Digits in groups of three by a space, a point or a comma, with decimals after the other sign; or plain ones. */
const NUMBER = String.raw`\d{1,3}(?:[ \u00a0\u202f']\d{3})+(?:[.,]\d+)?|\d{1,3}(?:,\d{3})+\.\d+|\d{1,3}(?:\.\d{3})+,\d+|\d+(?:[.,]\d+)?`
const UNIT = String.raw`(kg|mg|g|oz|lb)s?(?![a-z])`
/** A number with its unit, wherever in a line it stands. A sign may stand apart from the digits. */
const READING = new RegExp(String.raw`(?:([+-])\s*|(?<![\w.]|\d,))(${NUMBER})\s*${UNIT}`, 'i')
const POUNDS_AND_OUNCES = /([+-]?)\s*(\d+)\s*lbs?[\s:,]*(\d+(?:[.,]\d+)?)\s*oz(?![a-z])/i
/** Words, or a sign at the end, by which balances say that they are not at rest. */
const UNSTABLE = /(?:^|[\s,;:])(?:us|unst\w*|unsettled|motion|moving|dyn\w*)(?=[\s,;:]|$)|[?~*]\s*$/i

/** Grams behind a comma come in threes only where the comma groups thousands: no balance that reads milligrams carries
 * a kilogram. Kilograms do come in thousandths. */
function isGrouped(digits: string, unit: string): boolean {
  return unit !== 'kg' && /^[1-9]\d{0,2}(,\d{3})+$/.test(digits)
}

/** The number that digits with separators stand for, and how many decimals it is shown with. */
function numberOf(digits: string, unit: string): { value: number; decimals: number } {
  const plain = digits.replaceAll(/[ \u00a0\u202f']/g, '')
  const [comma, point] = [plain.lastIndexOf(','), plain.lastIndexOf('.')]
  if (comma === -1 && point === -1) return { value: Number(plain), decimals: 0 }
  const grouped = isGrouped(plain, unit)
  const at = grouped ? -1 : Math.max(comma, point)
  const whole = (at === -1 ? plain : plain.slice(0, at)).replaceAll(/[.,]/g, '')
  const decimals = at === -1 ? '' : plain.slice(at + 1)
  return { value: Number(`${whole}.${decimals || '0'}`), decimals: decimals.length }
}

function inGrams(value: number, unit: string): number {
  return convert(value, unit.toLowerCase() as MassUnit, 'g') ?? NaN
}

function weightIn(line: string): Pick<BalanceLine, 'grams' | 'step'> | null {
  const both = POUNDS_AND_OUNCES.exec(line)
  if (both) {
    const [, sign = '', pounds = '', ounces = ''] = both
    const { value, decimals } = numberOf(ounces, 'oz')
    const grams = inGrams(Number(pounds), 'lb') + inGrams(value, 'oz')
    return { grams: sign === '-' ? -grams : grams, step: inGrams(10 ** -decimals, 'oz') }
  }
  const [, sign = '', digits = '', unit = ''] = READING.exec(line) ?? []
  if (digits === '') return null
  const { value, decimals } = numberOf(digits, unit.toLowerCase())
  return { grams: inGrams(sign === '-' ? -value : value, unit), step: inGrams(10 ** -decimals, unit) }
}

/** What one line of a balance says, in grams and with the step it is shown in; null where it says no weight.
 *
 * The line may say anything else beside it: what counts is the first number with a unit of mass behind it, with point
 * or comma, in groups of three or not, or pounds with their ounces. */
export function readBalanceLine(line: string): BalanceLine | null {
  const weight = weightIn(line)
  return weight && { ...weight, ...(UNSTABLE.test(line) && { unstable: true as const }) }
}
