import type { Quantity, Verdict, WaterLimit } from '@kobrin/core'
import { sayIn, sayRangeIn } from './measures.ts'
import { round } from './numbers.ts'
import { t } from './said.ts'

const QUANTITIES: Readonly<Record<Quantity, { name: string; unit: string }>> = {
  celsius: { name: t('temperature'), unit: '°C' },
  humidity: { name: t('humidity'), unit: '%' },
  uvIndex: { name: t('uvIndex'), unit: '' },
  ammonia: { name: t('ammonia'), unit: 'mg/l' },
  nitrite: { name: t('nitrite'), unit: 'mg/l' },
  nitrate: { name: t('nitrate'), unit: 'mg/l' },
  ph: { name: 'pH', unit: '' },
  chlorine: { name: t('chlorine'), unit: 'mg/l' },
}

export function unitOf(what: Quantity): string {
  return QUANTITIES[what].unit
}

export function sayQuantity(what: Quantity): string {
  return QUANTITIES[what].name
}

/** "warm end, temperature" */
export function sayPoint({ zone, what }: { zone: string; what: Quantity }): string {
  return what === 'celsius' || what === 'humidity' ? `${zone}, ${sayQuantity(what)}` : sayQuantity(what)
}

/** "32 °C", "pH 7.4", "UV index 3.1" */
export function sayValue(what: Quantity, value: number): string {
  const { name, unit } = QUANTITIES[what]
  return unit === '' ? `${name} ${round(value)}` : sayIn(value, unit, round)
}

/** "0 mg/l, never from 0.25 mg/l up" */
export function sayWaterLimit(what: Quantity, { want, harmAbove, harmBelow }: WaterLimit): string {
  const unit = unitOf(what)
  const say = (limit: number) => sayIn(limit, unit, round)
  return [
    sayRangeIn(want, unit, round),
    ...(harmBelow === undefined ? [] : [t('neverFromDown', { harmBelow: say(harmBelow) })]),
    ...(harmAbove === undefined ? [] : [t('neverFromUp', { harmAbove: say(harmAbove) })]),
  ].join(', ')
}

type Read = Extract<Verdict['what'], { code: 'reading' }>

/** "46 °C at: basking, so high that it harms" */
export function sayReading({ zone, what, value, high, harms }: Read): string {
  const said = sayValue(what, value)
  const told = what === 'celsius' || what === 'humidity' ? t('readingAt', { value: said, zone }) : said
  if (harms) return high ? t('highThatHarms', { told }) : t('lowThatHarms', { told })
  return high ? t('aboveWanted', { told }) : t('belowWanted', { told })
}
