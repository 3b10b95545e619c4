import type { Units } from '@kobrin/contract'
import type { Unit } from '@kobrin/core'
import { convert } from '@kobrin/core'
import { shallowRef } from 'vue'
import { spaced } from './spaced.ts'

/** The one place that knows in which units the person here reads and types. The record keeps grams, millimetres,
 * degrees Celsius and litres, and so do care sheets, which are files. */
const units = shallowRef<Units>('metric')

export function measureIn(next: Units): void {
  units.value = next
}

interface Other {
  unit: Unit
  /** As it stands behind a number. */
  name: string
}

const US: Readonly<Record<string, Other & { of: Unit }>> = {
  g: { of: 'g', unit: 'oz', name: 'oz' },
  kg: { of: 'kg', unit: 'lb', name: 'lb' },
  mm: { of: 'mm', unit: 'in', name: 'in' },
  l: { of: 'l', unit: 'gal US', name: 'gal' },
  ml: { of: 'ml', unit: 'fl oz US', name: 'fl oz' },
  '°C': { of: '°C', unit: '°F', name: '°F' },
}
const OUNCES_OF_A_POUND = 16
const CM2_OF_AN_INCH = 2.54 ** 2
const DEGREES_F = 1.8

/** To so many digits that count, and to whole numbers above that. */
function digits(value: number, count: number): number {
  return Math.abs(value) >= 10 ** count ? Math.round(value) : Number(value.toPrecision(count))
}

/** As fine as it can be measured: tenths of a degree, hundredths of an inch, three digits of all else. */
function rounded(value: number, unit: string): number {
  if (unit === '°F') return Math.round(value * 10) / 10
  return unit === 'in' ? Math.round(value * 100) / 100 : digits(value, 3)
}

/** What stands behind a number here in place of a unit of the record; anything else stays as it is. */
export function unitHere(unit: string): string {
  if (units.value === 'metric') return unit
  return unit === 'cm²' ? 'in²' : (US[unit]?.name ?? unit)
}

function converted(value: number, unit: string): number {
  if (unit === 'cm²') return value / CM2_OF_AN_INCH
  const other = US[unit]
  return other ? (convert(value, other.of, other.unit) ?? value) : value
}

/** A value of the record as the number that is read here. */
export function numberHere(value: number, unit: string): number {
  const here = unitHere(unit)
  return here === unit ? value : rounded(converted(value, unit), here)
}

/** A number that was typed here as the value that is kept. */
export function kept(typed: number, unit: string): number {
  if (units.value === 'metric') return typed
  if (unit === 'cm²') return Number((typed * CM2_OF_AN_INCH).toPrecision(6))
  const other = US[unit]
  // A conversion has digits that nobody measured.
  return other ? Number((convert(typed, other.unit, other.of) ?? typed).toPrecision(6)) : typed
}

function written(value: number, unit: string, metric: (value: number) => string): string {
  return unitHere(unit) === unit ? metric(value) : spaced(numberHere(value, unit))
}

/** A value with its unit; `metric` writes the number where it needs no conversion. */
export function sayIn(value: number, unit: string, metric: (value: number) => string = spaced): string {
  return `${written(value, unit, metric)} ${unitHere(unit)}`.trim()
}

/** A range with its unit; one number where both ends are the same. */
export function sayRangeIn(
  [low, high]: readonly [number, number],
  unit: string,
  metric: (value: number) => string = spaced,
): string {
  const [from, to] = [written(low, unit, metric), written(high, unit, metric)]
  return `${from === to ? from : `${from}–${to}`} ${unitHere(unit)}`.trim()
}

/** What was worked out rather than weighed: to three digits. */
export function sayGramsAbout(range: readonly [number, number]): string {
  return sayRangeIn(range, 'g', (value) => spaced(Number(value.toPrecision(3))))
}

/** Grams as on a balance: 1 612 g, 42.5 g; or ounces, and pounds from one up. */
export function sayGrams(grams: number): string {
  if (units.value !== 'metric') {
    const ounces = converted(grams, 'g')
    return ounces < OUNCES_OF_A_POUND ? sayIn(grams, 'g') : sayIn(grams / 1000, 'kg')
  }
  return sayIn(grams, 'g', (value) => spaced(value >= 100 ? Math.round(value) : Math.round(value * 10) / 10))
}

/** Whole millimetres, 1 250 mm; or inches. */
export function sayMm(mm: number): string {
  return sayIn(mm, 'mm', (value) => spaced(Math.round(value)))
}

/** How far something gets warmer or colder. */
export function sayDegrees(celsius: number): string {
  return units.value === 'metric' ? `${spaced(celsius)} °C` : `${spaced(celsius * DEGREES_F)} °F`
}
