import type { Season } from '@kobrin/core'
import { weekdayOf } from '@kobrin/core'
import { words } from './en.ts'

/** A day as colleagues say it: today, yesterday, Thursday, 2 Nov, 2 Nov 2025. */
export function sayDay(day: number, today: number): string {
  const away = Math.ceil(day) - today
  if (away === 0) return 'today'
  if (away === -1) return 'yesterday'
  if (away === 1) return 'tomorrow'
  if (away > 1 && away < 7) return words.weekdays[weekdayOf(Math.ceil(day)) - 1] ?? ''
  return sayDate(day, today)
}

export function sayDate(day: number, today: number): string {
  const date = new Date(Math.ceil(day) * 86_400_000)
  const short = `${date.getUTCDate()} ${words.months[date.getUTCMonth()] ?? ''}`
  return Math.abs(day - today) < 320 ? short : `${short} ${date.getUTCFullYear()}`
}

/** "15 May to 5 June". */
export function saySeason({ from, until }: Season): string {
  const told = (date: string) => {
    const [month, day] = date.split('-').map(Number)
    return `${day ?? ''} ${words.months[(month ?? 1) - 1] ?? ''}`
  }
  return `${told(from)} to ${told(until)}`
}

/** Grams as on a balance: 1 612 g, 42.5 g. */
export function sayGrams(grams: number): string {
  const rounded = grams >= 100 ? Math.round(grams) : Math.round(grams * 10) / 10
  return `${spaced(rounded)} g`
}

/** Whole millimetres: 1 250 mm. */
export function sayMm(value: number): string {
  return `${spaced(Math.round(value))} mm`
}

/** To a hundredth, without idle zeros. */
export function round(value: number): string {
  return String(Math.round(value * 100) / 100)
}

export function spaced(value: number): string {
  const [whole = '', part] = String(value).split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f')
  return part === undefined ? grouped : `${grouped}.${part}`
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
