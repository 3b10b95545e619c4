import type { Civil } from '../../basics/time/civil.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Hemisphere } from '../../basics/time/hemisphere.ts'
import type { DateOrder } from '../columns/meaning.ts'
import { withoutAbout } from './quantity.ts'

/** How exactly a day is known. */
export type Precision = 'day' | 'month' | 'season' | 'year'

/** A day as somebody wrote it: of a month, a season or a year its middle. */
export interface When {
  day: Day
  /** Minutes since midnight, where the time stands beside it. */
  minute: number | null
  to: Precision
  /** What stands beside it in the cell. */
  rest: string
}

/** A day that can be read in two ways: nobody said whether the day or the month stands first. */
export type WhenRead = When | 'unsure' | null

/** Where nobody wrote down the time: the middle of the day. */
export const NOON = 720
const DAY_MS = 86_400_000

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat']
const MONTH_WORD =
  '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)'
const WEEKDAY_WORD =
  '(?:sun(?:day)?|mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?)'
/** The middle of each season, as month and date, in the north. */
const SEASONS: Readonly<Record<string, readonly [number, number]>> = {
  spring: [4, 15],
  summer: [7, 15],
  autumn: [10, 15],
  fall: [10, 15],
  winter: [1, 15],
}
const MOST_AGO = 40_000

function dayOf(year: number, month: number, date: number): Day | null {
  const full = year < 100 ? year + (year < 70 ? 2000 : 1900) : year
  const ms = Date.UTC(full, month - 1, date)
  const at = new Date(ms)
  // 31 February is no day.
  return at.getUTCMonth() === month - 1 && at.getUTCDate() === date ? ms / DAY_MS : null
}

const yearOf = (day: Day) => new Date(day * DAY_MS).getUTCFullYear()

/** The last such date that is not to come. */
function lastOf(month: number, date: number, today: Day): Day | null {
  const year = yearOf(today)
  const this_ = dayOf(year, month, date)
  // 29 February may lie some years back.
  const years = this_ !== null && this_ <= today ? [year] : [year - 1, year - 2, year - 3, year - 4]
  return years.map((one) => dayOf(one, month, date)).find((day) => day !== null) ?? null
}

const monthOf = (word: string) => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1

type Pattern = readonly [RegExp, (match: RegExpExecArray, context: WhenContext) => Read | 'unsure' | null]

/** What is known where a day is read: in which order the numbers of a date stand, null where nobody said, the day until
 * which it can be, and which half of the world its seasons are of. */
export interface WhenContext {
  order: DateOrder | null
  today: Day
  hemisphere?: Hemisphere | undefined
}
type Read = Pick<When, 'day' | 'to'>

const exact = (day: Day | null): Read | null => (day === null ? null : { day, to: 'day' })
const inMonth = (year: number, month: number): Read | null => {
  const day = month >= 1 && month <= 12 ? dayOf(year, month, 15) : null
  return day === null ? null : { day, to: 'month' }
}

/** Two numbers of which one is the day and one the month. */
function dayAndMonth(
  a: number,
  b: number,
  order: DateOrder | null,
  dayWith: (month: number, date: number) => Day | null,
): Read | 'unsure' | null {
  if (a > 12) return exact(dayWith(b, a))
  if (b > 12) return exact(dayWith(a, b))
  if (a === b) return exact(dayWith(a, b))
  if (order === null) return 'unsure'
  return exact(order === 'dmy' ? dayWith(b, a) : dayWith(a, b))
}

const numbers = (match: RegExpExecArray) => match.slice(1).map((part) => Number(part))

const AGO: Readonly<Record<string, number>> = { day: 1, week: 7, month: 30, year: 365 }

/** Days as they are written, the longest first: what stands in one is no part of another. */
const PATTERNS: readonly Pattern[] = [
  [
    /(?<![\d.])(\d{4})[-./](\d{1,2})[-./](\d{1,2})(?!\d)/u,
    (match) => {
      const [year = 0, month = 0, date = 0] = numbers(match)
      return exact(dayOf(year, month, date))
    },
  ],
  [
    /(?<![\d.,/])(\d{1,2})[-./](\d{1,2})[-./](\d{4}|\d{2})(?![\d.])/u,
    (match, { order }) => {
      const [a = 0, b = 0, c = 0] = numbers(match)
      if (order === 'ymd') return exact(dayOf(a, b, c))
      return dayAndMonth(a, b, order, (month, date) => dayOf(c, month, date))
    },
  ],
  [
    new RegExp(
      `(?<![\\d.])(\\d{1,2})(?:st|nd|rd|th)?\\.?[\\s-]*(?:of\\s+)?(${MONTH_WORD})\\b\\.?,?(?:[\\s-]*(\\d{4})|[\\s-]*['’]?(\\d{2})(?![\\d:]))?`,
      'iu',
    ),
    ([, date = '', word = '', long, short], { today }) => {
      const year = long ?? short
      const month = monthOf(word)
      return exact(year ? dayOf(Number(year), month, Number(date)) : lastOf(month, Number(date), today))
    },
  ],
  [
    new RegExp(`\\b(${MONTH_WORD})\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?(?!\\d)(?:,?\\s+(\\d{4}))?`, 'iu'),
    ([, word = '', date = '', year], { today }) => {
      const month = monthOf(word)
      return exact(year ? dayOf(Number(year), month, Number(date)) : lastOf(month, Number(date), today))
    },
  ],
  [
    new RegExp(`\\b(${MONTH_WORD})\\b[.,]?\\s*(?:['’](\\d{2})|(\\d{4}))(?!\\d)`, 'iu'),
    ([, word = '', short, long]) => inMonth(Number(long ?? `20${short ?? ''}`), monthOf(word)),
  ],
  [
    /(?<![\d.,])(\d{1,2})\/(\d{1,2})(?![\d./])/u,
    (match, { order, today }) => {
      const [a = 0, b = 0] = numbers(match)
      return dayAndMonth(a, b, order, (month, date) => lastOf(month, date, today))
    },
  ],
  [
    /(?<![\d.,])(\d{1,2})\.(\d{1,2})\.(?!\d)/u,
    (match, { today }) => {
      const [date = 0, month = 0] = numbers(match)
      return exact(month >= 1 && month <= 12 ? lastOf(month, date, today) : null)
    },
  ],
  [
    /\b(\d+|an?|one|two|three)\s+(day|week|month|year)s?\s+(?:ago|back)\b/iu,
    ([, many = '', unit = ''], { today }) => {
      const words: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3 }
      const count = words[many.toLowerCase()] ?? Number(many)
      const days = count * (AGO[unit.toLowerCase()] ?? 1)
      const to = ({ day: 'day', week: 'day', month: 'month', year: 'year' } as const)[
        unit.toLowerCase() as 'day'
      ]
      return days > MOST_AGO ? null : { day: today - days, to }
    },
  ],
  [/\b(?:today|this morning|tonight|just now)\b/iu, (_, { today }) => exact(today)],
  [/\b(?:yesterday|last night)\b/iu, (_, { today }) => exact(today - 1)],
  [
    new RegExp(`\\b(?:last\\s+|on\\s+)?(${WEEKDAY_WORD})\\b\\.?`, 'iu'),
    ([, word = ''], { today }) => {
      const back =
        (new Date(today * DAY_MS).getUTCDay() - WEEKDAYS.indexOf(word.slice(0, 3).toLowerCase()) + 7) % 7
      return exact(today - back)
    },
  ],
]

/** How long ago an age reaches, and how exactly it tells the day. */
const OLD = {
  y: { days: 365.25, to: 'year' },
  m: { days: 30.44, to: 'month' },
  w: { days: 7, to: 'month' },
  d: { days: 1, to: 'day' },
} as const

/** Days of months, seasons and years: only where nothing but a day may stand. */
const COARSE: readonly Pattern[] = [
  [/^(\d{4})[-/.](\d{1,2})$/u, ([, year = '', month = '']) => inMonth(Number(year), Number(month))],
  [/^(\d{1,2})[-/.](\d{4})$/u, ([, month = '', year = '']) => inMonth(Number(year), Number(month))],
  [
    /^(?:early|mid|late)?[\s-]*(spring|summer|autumn|fall|winter)[\s,]*(?:of\s+)?['’]?(\d{4}|\d{2})([/-]\d{2,4})?$/iu,
    ([, season = '', year = '', next], { hemisphere = 'north' }) => {
      const [month, date] = SEASONS[season.toLowerCase()] ?? [1, 1]
      const turned = hemisphere === 'south' ? ((month + 5) % 12) + 1 : month
      // "Winter 2020/21" is the one at whose middle a year begins.
      const day = dayOf(Number(year) + Number(next !== undefined && turned === 1), turned, date)
      return day === null ? null : { day, to: 'season' }
    },
  ],
  [
    /^(?:early|mid|late|in|since|before|start of|end of)?[\s-]*((?:19|20)\d{2})$/iu,
    ([, year = '']) => {
      const day = dayOf(Number(year), 7, 1)
      return day === null ? null : { day, to: 'year' }
    },
  ],
  [
    new RegExp(`^(?:early|mid|late|in|since)?[\\s-]*(${MONTH_WORD})\\.?$`, 'iu'),
    ([, word = ''], { today }) => {
      const day = lastOf(monthOf(word), 1, today)
      return day === null ? null : inMonth(yearOf(day), monthOf(word))
    },
  ],
  [
    /^(\d{1,3}(?:[.,]\d)?)\s*(y|yr|year|m|mo|mth|month|w|wk|week|d|day)s?\.?(?:\s+old)?$/iu,
    ([, many = '', unit = ''], { today }) => {
      const letter = unit[0]?.toLowerCase() as keyof typeof OLD
      const { days, to } = OLD[letter]
      return { day: today - Math.round(Number(many.replace(',', '.')) * days), to }
    },
  ],
  // As a workbook counts its days, where it was saved as text.
  [/^([2-6]\d{4})$/u, ([, serial = '']) => exact(Number(serial) - 25_569)],
]

function minuteIn(text: string): { minute: number | null; rest: string } {
  const match = /(?:^|[\sT])(\d{1,2})[:.h](\d{2})(?::\d{2}(?:\.\d+)?)?\s*(am|pm)?Z?(?=\s|$)/iu.exec(text)
  const bare = match ? null : /(?:^|\s)(\d{1,2})\s*(am|pm)(?=\s|$)/iu.exec(text)
  const found = match ?? bare
  if (!found) return { minute: null, rest: text }
  const half = (match ? match[3] : bare?.[2])?.toLowerCase()
  const said = Number(found[1])
  const hours = half === undefined ? said : (said % 12) + (half === 'pm' ? 12 : 0)
  const minutes = match ? Number(match[2]) : 0
  const rest = `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`.trim()
  return hours < 24 && minutes < 60 ? { minute: hours * 60 + minutes, rest } : { minute: null, rest: text }
}

const withoutEdges = (text: string) =>
  text
    .replace(/\(\s*\)|\[\s*\]/gu, ' ')
    .replace(/\s+/gu, ' ')
    .replace(/^[\s,;:@–—-]+|[\s,;:@–—-]+$/gu, '')
    .replace(/\s*\bon$/iu, '')
    .trim()

/** The day that stands somewhere in a cell, and what stands beside it: "62g 12/11", "refused Sat". What has no year is the
 * last such day. Null where there is none, "unsure" where it may be one of two. */
export function whenIn(text: string, context: WhenContext): WhenRead {
  for (const [pattern, read] of PATTERNS) {
    const match = pattern.exec(text)
    if (!match) continue
    const found = read(match, context)
    if (found === 'unsure') return 'unsure'
    if (found === null) continue
    const around = `${text.slice(0, match.index)} ${text.slice(match.index + match[0].length)}`
    const after = text.slice(match.index + match[0].length)
    const timed = /^[\sT]*\d{1,2}(?:[:h.]\d{2}|\s*(?:am|pm)\b)/iu.test(after)
    const { minute, rest } = timed ? minuteIn(around) : { minute: null, rest: around }
    return { ...found, minute, rest: withoutEdges(rest) }
  }
  return null
}

const LENGTHS: Readonly<Record<Precision, number>> = { day: 1, month: 30, season: 91, year: 365 }

/** Of a month or a year that is not over: the middle of what there was of it. */
function begun({ day, to }: Read, today: Day): Read {
  const from = day - Math.round(LENGTHS[to] / 2)
  return day > today && from <= today ? { day: Math.floor((from + today) / 2), to } : { day, to }
}

/** A cell that is to be a day and no more, to the day, the month, the season or the year. Null where it is none, "unsure"
 * where it may be one of two. */
export function readWhen(written: string, context: WhenContext): WhenRead {
  // Nearly all there are.
  const plainly = /^\d{1,4}[-./]\d{1,2}[-./]\d{1,4}$/u.test(written) ? whenIn(written, context) : null
  if (plainly) return plainly
  const { text } = withoutAbout(written.replace(/^[([]+|[)\]]+$/gu, ''))
  for (const [pattern, read] of COARSE) {
    const match = pattern.exec(text)
    const found = match && read(match, context)
    if (found && found !== 'unsure') return { ...begun(found, context.today), minute: null, rest: '' }
  }
  const found = whenIn(text, context)
  if (found === null || found === 'unsure') return found
  // A weekday beside a date says nothing more.
  const rest = found.rest.replace(new RegExp(`^${WEEKDAY_WORD}\\.?,?$`, 'iu'), '')
  return rest === '' || withoutAbout(`1 ${rest}`).text === '1' ? { ...found, rest: '' } : null
}

/** A moment on a day, noon where nobody wrote the time. */
export function momentOf({ day, minute }: Pick<When, 'day' | 'minute'>): Civil {
  return { day, minute: minute ?? NOON }
}

/** In which order the numbers of a date stand, where the cell alone tells; "either" where it can be read both ways, null
 * where it is no such date. */
export function orderIn(text: string): DateOrder | 'either' | null {
  if (/(?<![\d.])\d{4}[-./]\d{1,2}[-./]\d{1,2}(?!\d)/u.test(text)) return 'ymd'
  const match =
    /(?<![\d.,/])(\d{1,2})[-./](\d{1,2})[-./](?:\d{4}|\d{2})(?![\d.])/u.exec(text) ??
    /(?<![\d.,])(\d{1,2})\/(\d{1,2})(?![\d./])/u.exec(text)
  if (!match) return null
  const [a = 0, b = 0] = numbers(match)
  if (a === b) return null
  if (a > 12) return b <= 12 ? 'dmy' : null
  return b > 12 ? 'mdy' : 'either'
}
