import type { Civil } from '../basics/time/civil.ts'
import type { DateOrder } from './meaning.ts'

const DAY_MS = 86_400_000

/** A number as it was written, with its unit where one stands beside it. Null where it is none: "12,5" is a number
 * only to those who write decimals so. */
export function readNumber(text: string, decimal: '.' | ','): { value: number; unit: string } | null {
  const match = /^([+-]?[\d\s.,'\u202f\u00a0]*\d)\s*(\p{L}*)\.?$/u.exec(text.trim())
  if (!match) return null
  const [, digits = '', unit = ''] = match
  const grouping = decimal === ',' ? /[.\s'\u202f\u00a0]/g : /[,\s'\u202f\u00a0]/g
  // Thousands stand in threes: "1,5" is no fifteen.
  const groups =
    decimal === ','
      ? /^[+-]?\d{1,3}([.\s'\u202f\u00a0]\d{3})*(,\d+)?$|^[+-]?\d*(,\d+)?$/
      : /^[+-]?\d{1,3}([,\s'\u202f\u00a0]\d{3})*(\.\d+)?$|^[+-]?\d*(\.\d+)?$/
  if (!groups.test(digits)) return null
  const value = Number(digits.replace(grouping, '').replace(',', '.'))
  return Number.isFinite(value) ? { value, unit: unit.toLowerCase() } : null
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

function dayOf(year: number, month: number, date: number): number | null {
  const full = year < 100 ? year + (year < 70 ? 2000 : 1900) : year
  const ms = Date.UTC(full, month - 1, date)
  const at = new Date(ms)
  // 31 February is no day.
  return at.getUTCMonth() === month - 1 && at.getUTCDate() === date ? ms / DAY_MS : null
}

function dayFromParts([a, b, c]: readonly [number, number, number], order: DateOrder): number | null {
  switch (order) {
    case 'ymd':
      return dayOf(a, b, c)
    case 'dmy':
      return dayOf(c, b, a)
    case 'mdy':
      return dayOf(c, a, b)
  }
}

/** The three numbers of a date in digits, and whether the year stands first. */
export function datePartsOf(text: string): { parts: [number, number, number]; yearFirst: boolean } | null {
  const match = /^(\d{1,4})[./-](\d{1,2})[./-](\d{1,4})(?!\d)/.exec(text.trim())
  if (!match) return null
  const [, a = '', b = '', c = ''] = match
  return { parts: [Number(a), Number(b), Number(c)], yearFirst: a.length === 4 }
}

function namedDay(text: string): number | null {
  const match = /^(\d{1,2})\.?\s+(\p{L}{3})\p{L}*\.?\s+(\d{4})/u.exec(text.trim())
  if (!match) return null
  const month = MONTHS.indexOf((match[2] ?? '').toLowerCase()) + 1
  return month === 0 ? null : dayOf(Number(match[3]), month, Number(match[1]))
}

function minuteIn(text: string): number | null {
  const match = /(?:\s|T)(\d{1,2}):(\d{2})(?::\d{2})?\s*$/.exec(text.trim())
  if (!match) return null
  const [hours, minutes] = [Number(match[1]), Number(match[2])]
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : null
}

/** Where nobody wrote down the time: the middle of the day. */
export const NOON = 720

/** A day, and the time where one stands beside it, else noon. Null where it is no day, or where nobody said in
 * which order its numbers are. */
export function readMoment(text: string, order: DateOrder | null): Civil | null {
  const date = datePartsOf(text)
  const day = date
    ? date.yearFirst
      ? dayFromParts(date.parts, 'ymd')
      : order === null
        ? null
        : dayFromParts(date.parts, order)
    : namedDay(text)
  return day === null ? null : { day, minute: minuteIn(text) ?? NOON }
}
