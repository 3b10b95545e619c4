import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dilution } from '../../calculators/dilution/dilution.ts'
import { reachable } from '../../calculators/gradient/reachable.ts'
import { uvbFor } from '../../judging/boxFit/uvbFor.ts'
import { wateringLitres } from '../../calculators/watering/wateringLitres.ts'
import { convert, UNITS } from './convert.ts'

describe('units', () => {
  it.each([
    [1, 'in', 'mm', 25.4],
    [1, 'lb', 'g', 453.59237],
    [1, 'gal US', 'ml', 3785.411784],
    [212, '°F', '°C', 100],
    [-40, '°C', '°F', -40],
    [16, 'oz', 'lb', 1],
  ] as const)('%f %s is %s', (value, from, to, expected) => {
    expect(convert(value, from, to)).toBeCloseTo(expected, 10)
  })

  it('refuses to turn a weight into a length', () => {
    expect(convert(1, 'g', 'mm')).toBeNull()
    expect(convert(1, '°C', 'mm')).toBeNull()
  })

  const pairs = Object.values(UNITS).flatMap((units) =>
    units.flatMap((a) => units.map((b) => [a, b] as const)),
  )
  it('there and back is where it began', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pairs),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        ([a, b], value) => {
          const back = convert(convert(value, a, b) ?? NaN, b, a) ?? NaN
          expect(Math.abs(back - value)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(value)))
        },
      ),
    )
  })
})

describe('dilution', () => {
  it('shares a volume out by parts', () => {
    expect(dilution({ by: 'parts', parts: [1, 3], totalMl: 200 })).toEqual({ by: 'parts', ml: [50, 150] })
  })

  it('thins a stock', () => {
    const made = dilution({ by: 'percent', stockPercent: 10, targetPercent: 0.5, totalMl: 1000 })
    expect(made).toEqual({ by: 'percent', stockMl: 50, waterMl: 950 })
  })

  it('dissolves sugar by weight, or fills up to a volume', () => {
    expect(dilution({ by: 'solution', percent: 20, per: 'weight', total: 500 })).toMatchObject({
      soluteGrams: 100,
      water: 400,
      waterUnit: 'g',
    })
    expect(dilution({ by: 'solution', percent: 20, per: 'volume', total: 500 })).toMatchObject({
      soluteGrams: 100,
      waterUnit: 'mlUpTo',
    })
  })

  it('cannot make a solution stronger than its stock', () => {
    expect(dilution({ by: 'percent', stockPercent: 5, targetPercent: 6, totalMl: 100 })).toBeNull()
    expect(dilution({ by: 'parts', parts: [0, 0], totalMl: 100 })).toBeNull()
  })
})

describe('a gradient', () => {
  it('keeps the middle of the animal half a length from either end', () => {
    expect(reachable(1000, 500, 20, 30, [20, 30])).toEqual({
      celsius: [22.5, 27.5],
      share: 0.5,
      bodyLengths: 2,
    })
  })

  it('is no use to an animal longer than its enclosure', () => {
    expect(reachable(1000, 1001, 20, 30, [20, 30])).toBeNull()
  })
})

it('hangs a tube at the distance of the sheet above the basking back', () => {
  const uvb = { share: [0.5, 0.75], distanceMm: [250, 350] } as const
  expect(uvbFor({ share: [...uvb.share], distanceMm: [...uvb.distanceMm] }, 1200, 100)).toEqual({
    tubeMm: [600, 900],
    distanceMm: [250, 350],
    hangsAtMm: [350, 450],
  })
})

it('waters from one share of field capacity to another, and never takes water out', () => {
  expect(wateringLitres(50, 0.4, 0.5, 0.8)).toBeCloseTo(6)
  expect(wateringLitres(50, 0.4, 0.8, 0.5)).toBe(0)
})
