import type { KnownTo, Season } from '@kobrin/core'
import { weekdayOf } from '@kobrin/core'
import { t } from './said.ts'
import { spaced } from './spaced.ts'

const DAY_MS = 86_400_000
const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'long', timeZone: 'UTC' })
const MONTHS = {
  short: new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }),
  long: new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }),
}
/** A Monday. */
const MONDAY_MS = 4 * DAY_MS

/** 1 is Monday. */
export function sayWeekday(weekday: number): string {
  return WEEKDAY.format(MONDAY_MS + (weekday - 1) * DAY_MS)
}

/** Of its number in the year, 1 to 12. */
export function sayMonth(month: number, how: 'short' | 'long' = 'short'): string {
  return MONTHS[how].format(Date.UTC(2000, month - 1, 1))
}

/** A day as colleagues say it: today, yesterday, Thursday, 2 Nov, 2 Nov 2025. */
export function sayDay(day: number, today: number): string {
  const away = Math.ceil(day) - today
  if (away === 0) return t('today')
  if (away === -1) return t('yesterday')
  if (away === 1) return t('tomorrow')
  if (away > 1 && away < 7) return sayWeekday(weekdayOf(Math.ceil(day)))
  return sayDate(day, today)
}

export function sayDate(day: number, today: number): string {
  const date = new Date(Math.ceil(day) * DAY_MS)
  const short = t('shortDate', { day: date.getUTCDate(), month: sayMonth(date.getUTCMonth() + 1) })
  return Math.abs(day - today) < 320
    ? short
    : t('longDate', { date: short, year: String(date.getUTCFullYear()) })
}

/** A day as far as it is known: "2024", "summer 2024", "May 2024", "3 May". */
export function sayDateTo(day: number, to: KnownTo | undefined, today: number): string {
  if (to === undefined) return sayDate(day, today)
  const date = new Date(day * DAY_MS)
  const year = String(date.getUTCFullYear())
  const month = sayMonth(date.getUTCMonth() + 1, 'long')
  return to === 'year' ? year : t(to === 'month' ? 'monthOf' : 'aroundMonth', { month, year })
}

/** "15 May to 5 June". */
export function saySeason({ from, until }: Season): string {
  const told = (date: string) => {
    const [month = 1, day = 1] = date.split('-').map(Number)
    return t('shortDate', { day, month: sayMonth(month) })
  }
  return t('season', { from: told(from), until: told(until) })
}

/** To a hundredth, without idle zeros. */
export function round(value: number): string {
  return String(Math.round(value * 100) / 100)
}

export function sayMinutes(minutes: number): string {
  if (minutes < 60) return `${Math.round(minutes)} min`
  return `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`
}

export function sayMinuteOfDay(minute: number): string {
  return `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
}

export function sayRange(
  [low, high]: readonly [number, number],
  say: (value: number) => string = spaced,
): string {
  return low === high ? say(low) : `${say(low)}–${say(high)}`
}
