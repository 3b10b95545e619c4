import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { VerdictWhat } from '../verdicts/verdict.ts'
import { LATELY_DAYS, offItsOwnCurve } from './offCurve.ts'
import { offItsCurve } from './offItsCurve.ts'

const WEIGHING = { r: 0.02, q: 1e-8 }
const WEEKS = 40

/** Grows up from 5 to 60 g, weighed weekly; the last five weeks may be another animal's. */
function history(lately = 1) {
  return Array.from({ length: WEEKS }, (_, week) => {
    const day = week * 7
    const scatter = 1 + (week % 2 === 0 ? 0.01 : -0.01)
    const grams = 60 * Math.exp(Math.log(5 / 60) * Math.exp(-0.012 * day)) * scatter
    return { day, grams: week >= WEEKS - 5 ? grams * lately : grams, uid: `w${week}` }
  })
}

const LAST = (WEEKS - 1) * 7

describe('whether somebody keeps to its own curve', () => {
  it('does where it goes on growing as before, whatever the order of its weighings', () => {
    expect(offItsOwnCurve({ readings: history(), weighing: WEIGHING })).toBeNull()
    const off = offItsOwnCurve({ readings: history(0.8), weighing: WEIGHING })
    fc.assert(
      fc.property(fc.shuffledSubarray(history(0.8), { minLength: WEEKS, maxLength: WEEKS }), (readings) => {
        expect(offItsOwnCurve({ readings, weighing: WEIGHING })).toEqual(off)
      }),
      { numRuns: 5 },
    )
  })

  it.each([
    { lately: 0.8, below: true },
    { lately: 1.25, below: false },
  ])('does not where the last weeks stand at $lately of it', ({ lately, below }) => {
    const off = offItsOwnCurve({ readings: history(lately), weighing: WEIGHING }) ?? expect.fail()
    expect(off.on).toBe(LAST)
    expect(off.on - off.until).toBeGreaterThanOrEqual(LATELY_DAYS)
    const [verdict] = offItsCurve({ day: LAST + 1, off, holds: [], verdicts: [] })
    expect(verdict).toMatchObject({ severity: 'info', since: LAST, what: { code: 'offItsCurve', below } })
    expect(verdict?.because).toContainEqual({
      fact: 'ownCurve',
      until: off.until,
      on: LAST,
      low: off.low,
      high: off.high,
    })
  })

  it('cannot be said of a few weighings, nor of a curve that ended long ago', () => {
    expect(offItsOwnCurve({ readings: history(0.8).slice(-8), weighing: WEIGHING })).toBeNull()
    const late = { day: LAST + 200, grams: 20, uid: 'late', confirmed: true }
    expect(offItsOwnCurve({ readings: [...history(), late], weighing: WEIGHING })).toBeNull()
  })
})

describe('what is said of it', () => {
  const off = { on: 100, until: 50, grams: 30, low: 35, high: 40 }
  const said = (day: number, holds: HoldKind[] = [], codes: VerdictWhat['code'][] = []) =>
    offItsCurve({
      day,
      off,
      holds: holds.map((hold) => ({ hold })),
      verdicts: codes.map((code) => ({ what: { code } as VerdictWhat })),
    }).length

  it('lapses when the weight is old, and never speaks of a day before it', () => {
    expect([99, 100, 100 + LATELY_DAYS, 101 + LATELY_DAYS].map((day) => said(day))).toEqual([0, 1, 1, 0])
  })

  it('is nothing while the weight follows something else, or where it is spoken of already', () => {
    expect(said(100, ['gravid'])).toBe(0)
    expect(said(100, ['winterRest'])).toBe(0)
    expect(said(100, ['inBlue'])).toBe(1)
    expect(said(100, [], ['losing'])).toBe(0)
    expect(said(100, [], ['refusing'])).toBe(1)
  })
})
