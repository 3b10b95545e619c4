import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import {
  kept,
  measureIn,
  numberHere,
  sayDegrees,
  sayGrams,
  sayIn,
  sayMm,
  sayRangeIn,
  unitHere,
} from './measures.ts'

afterEach(() => measureIn('metric'))

describe('metric units', () => {
  it('are what the record keeps: nothing is converted', () => {
    for (const unit of ['g', 'kg', 'mm', 'cm²', 'l', 'ml', '°C', '%', ''])
      expect([unitHere(unit), numberHere(7.125, unit), kept(7.125, unit)], unit).toEqual([unit, 7.125, 7.125])
    expect([sayGrams(1612.3), sayGrams(42.46), sayMm(1250.4)]).toEqual([
      '1\u202f612 g',
      '42.5 g',
      '1\u202f250 mm',
    ])
  })
})

describe('other units', () => {
  beforeEach(() => measureIn('us'))

  it.each([
    [() => sayGrams(28.349523125), '1 oz'],
    [() => sayGrams(0.35), '0.0123 oz'],
    [() => sayGrams(453.59237), '1 lb'],
    [() => sayGrams(1700), '3.75 lb'],
    [() => sayMm(254), '10 in'],
    [() => sayIn(37.5, '°C'), '99.5 °F'],
    [() => sayIn(-2, '°C'), '28.4 °F'],
    [() => sayIn(3.785411784, 'l'), '1 gal'],
    [() => sayIn(929, 'cm²'), '144 in²'],
    [() => sayIn(6, '%'), '6 %'],
    [() => sayRangeIn([26, 32], '°C'), '78.8–89.6 °F'],
    [() => sayRangeIn([30, 30], '°C'), '86 °F'],
    [() => sayDegrees(2), '3.6 °F'],
  ])('%s is said so: %s', (told, expected) => {
    expect(told()).toBe(expected)
  })

  it('are kept as what they are in metric ones, near enough for any balance', () => {
    expect(kept(86, '°C')).toBe(30)
    expect(kept(1, 'mm')).toBe(25.4)
    expect(kept(2, 'g')).toBe(56.699)
    expect(kept(40, '%')).toBe(40)
    for (const unit of ['g', 'kg', 'mm', 'cm²', 'l', 'ml', '°C'])
      expect(numberHere(kept(12.5, unit), unit), unit).toBeCloseTo(12.5, 1)
  })
})
