import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { weightLevel } from './weightLevel.ts'
import { weightTrend } from './weightTrend.ts'

const weighing = { r: 0.03, q: 1e-6 }
const at = (...pairs: [number, number][]) => pairs.map(([day, y]) => ({ day, y }))

describe('the weight trend', () => {
  it('is the straight line of least squares where the slope does not wander', () => {
    const readings = at([0, 3], [10, 3.2], [20, 3.1], [40, 3.6])
    const { level, slope, levelVar, slopeVar } = weightTrend(readings, { r: 0.1, q: 0 })
    // Days 0, 10, 20, 40: mean 17.5, sum of squares 875; y mean 3.225, products 12.25.
    const b = 12.25 / 875
    expect(slope).toBeCloseTo(b, 12)
    expect(level).toBeCloseTo(3.225 + b * 22.5, 12)
    expect(slopeVar).toBeCloseTo(0.01 / 875, 12)
    expect(levelVar).toBeCloseTo(0.01 * (1 / 4 + 22.5 ** 2 / 875), 12)
  })

  it('takes the mean of one day, and knows no slope yet', () => {
    const told = weightTrend(at([5, 2], [5, 2.2], [5, 2.4]), weighing)
    expect(told).toMatchObject({ slope: null, slopeVar: null })
    expect(told.level).toBeCloseTo(2.2, 12)
    expect(told.levelVar).toBeCloseTo(0.0003, 12)
    expect(weightTrend(at([5, 2]), weighing).logLik).toBe(0)
    expect(weightTrend([], weighing)).toMatchObject({ level: null, logLik: null, days: [] })
  })

  it('smooths towards what came later, and ends where the filter ends', () => {
    const told = weightTrend(at([0, 3], [7, 3.3], [14, 3.05], [21, 3.1]), weighing)
    expect(told.days.map(({ day }) => day)).toEqual([0, 7, 14, 21])
    expect(told.days.at(-1)?.level).toBeCloseTo(told.level ?? NaN, 12)
    expect(told.days[1]?.level).toBeLessThan(3.3)
    expect(told.days.every(({ levelVar }) => levelVar > 0 && levelVar <= 0.03 ** 2)).toBe(true)
  })

  it('knows what a straight line leaves open, though the next day is years away', () => {
    const r = 1e-6
    const told = weightTrend(at([0, 1], [0.001, 1], [44_000, 1]), { r, q: 0 })
    expect((told.days[0]?.levelVar ?? NaN) / ((r * r) / 2)).toBeCloseTo(1, 4)
    expect((told.days[1]?.levelVar ?? NaN) / ((r * r) / 2)).toBeCloseTo(1, 4)
  })

  it('never gives up a number, however far apart or close together the days are', () => {
    const reading = fc.record({
      day: fc.nat(1e8).map((hundredths) => hundredths / 1000),
      y: fc.double({ min: -8, max: 14, noNaN: true }),
    })
    fc.assert(
      fc.property(
        fc.array(reading, { maxLength: 12 }),
        fc.double({ min: 1e-6, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (readings, r, q) => {
          const told = weightTrend(
            [...readings].sort((a, b) => a.day - b.day),
            { r, q },
          )
          const numbers = [told.level, told.slope, told.levelVar, told.slopeVar, told.logLik].filter(
            (one) => one !== null,
          )
          expect(numbers.every(Number.isFinite)).toBe(true)
          expect(told.days.every(({ level, levelVar }) => Number.isFinite(level) && levelVar >= 0)).toBe(true)
        },
      ),
    )
  })
})

describe('the weight that counts', () => {
  const weekly = (...grams: number[]) =>
    grams.map((value, index) => ({ day: index * 7, grams: value, uid: `w${index}` }))

  it('does not depend on the order in which readings are given', () => {
    const readings = weekly(100, 104, 1070, 111, 115)
    fc.assert(
      fc.property(fc.shuffledSubarray(readings, { minLength: 5 }), (shuffled) => {
        expect(weightLevel(shuffled, weighing)).toEqual(weightLevel(readings, weighing))
      }),
    )
  })

  it('is moved by a far reading only so far', () => {
    const before = weightLevel(weekly(100, 102, 101, 103), weighing)?.grams ?? NaN
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1e6, noNaN: true }), (grams) => {
        const after = weightLevel(weekly(100, 102, 101, 103, grams), weighing)?.grams ?? NaN
        expect(Math.abs(after / before - 1)).toBeLessThan(0.25)
      }),
    )
  })

  it('is no first reading that nobody of its kind can weigh, until the next agrees', () => {
    const bounds: [number, number] = [0.05, 12]
    expect(weightLevel(weekly(999), weighing, bounds)).toBeNull()
    expect(weightLevel(weekly(999, 3), weighing, bounds)?.grams).toBeCloseTo(3, 6)
    expect(weightLevel(weekly(999, 1001), weighing, bounds)?.grams).toBeCloseTo(1001, 6)
  })
})
