import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { conditionAdvice } from '../../judging/condition/conditionAdvice.ts'
import type { Entry } from '../entries/entry.ts'
import { effectiveFacts } from '../entries/effectiveFacts.ts'
import { missingOf } from '../count/countState.ts'
import { mealsIn, mealsKept } from '../feeding/feedLine.ts'
import { sumOf } from '../feeding/offerSum.ts'
import { weightLevel } from '../../judging/weightTrend/weightLevel.ts'
import { holdsOn } from '../../judging/holds/holdsOn.ts'
import { entryOn, FIRST_DAY, history, told, uidOf } from '../../testing/histories.ts'
import { dutyOf, planOf } from '../../testing/plans.ts'

const END = FIRST_DAY + 90

describe('whatever happened', () => {
  it('meals are the sum over the feeding duties, and never fewer than none', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const { lines } = told(entries).feeding
        for (const line of Object.values(lines)) {
          expect(sumOf(line).meals).toBeGreaterThanOrEqual(0)
          expect(mealsKept(line).length).toBeLessThanOrEqual(sumOf(line).meals)
        }
        expect(mealsIn({ lines })).toBeGreaterThanOrEqual(0)
      }),
    )
  })

  it('whoever was expected and not found is shown missing, less those accounted for', () => {
    const counts = fc.record({ expected: fc.nat(30), found: fc.nat(30), accounted: fc.nat(3) })
    fc.assert(
      fc.property(fc.array(counts, { maxLength: 12 }), (rounds) => {
        let missing = 0
        const entries = rounds.flatMap(({ expected, found, accounted }, index): Entry[] => {
          missing = Math.max(0, missing + expected - found)
          const closed = Math.min(missing, accounted)
          missing -= closed
          const split = { found: Math.floor(closed / 2), lost: Math.ceil(closed / 2), why: 'So' }
          return [
            entryOn(index, 'counted', { count: found, expected }),
            entryOn(index, 'accounted', split, { minute: 600 }),
          ]
        })
        expect(missingOf(told(entries).count)).toBe(missing)
      }),
    )
  })

  it('lifting a hold that can be lifted removes it', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const last = Math.max(0, ...entries.map(({ day }) => day - FIRST_DAY))
        for (const { hold } of holdsOn(END, told(entries), planOf(), 1000)) {
          const lifted = [...entries, entryOn(last + 1, 'released', { hold })]
          expect(holdsOn(END, told(lifted), planOf(), 1000).map((one) => one.hold)).not.toContain(hold)
        }
      }),
    )
  })

  it('an offer not eaten never ends a hold', () => {
    fc.assert(
      fc.property(history, fc.constantFrom('refused', 'notOffered'), (entries, outcome) => {
        const last = Math.max(0, ...effectiveFacts(entries).map(({ day }) => day - FIRST_DAY))
        const offered = [...entries, entryOn(last + 1, 'fed', { item: 'rat', grams: 80, outcome })]
        const kinds = (of: readonly Entry[]) =>
          holdsOn(FIRST_DAY + last + 1, told(of), planOf(), 1000).map(({ hold }) => hold)
        expect(kinds(offered)).toEqual(kinds(entries))
      }),
    )
  })

  it('a graver observation is never displaced by a milder one', () => {
    const RANK = { info: 0, watch: 1, act: 2, urgent: 3 } as const
    const severity = fc.constantFrom('info', 'watch', 'act', 'urgent')
    fc.assert(
      fc.property(fc.array(severity, { maxLength: 30 }), (severities) => {
        const entries = severities.map((one, minute) =>
          entryOn(0, 'observed', { text: 'So', severity: one }, { minute }),
        )
        const before = told(entries).health.observations
        const mild = entryOn(1, 'observed', { text: 'So', severity: 'info' })
        const after = told([...entries, mild]).health.observations
        const grave = (list: typeof before) => list.filter((one) => RANK[one.severity] > RANK.info)
        expect(grave(after)).toEqual(grave(before))
        expect(after.at(-1)?.uid).toBe(mild.uid)
      }),
    )
  })

  it('a proposal changes something', () => {
    const cadence = fc.integer({ min: 1, max: 30 })
    fc.assert(
      fc.property(cadence, fc.constantFrom(1, 1.5, 2, 4, 4.5, 5), (days, score) => {
        const feed = dutyOf({ id: 'feed', does: 'feed', cadence: { type: 'every', days, tolerance: 0 } })
        for (const patch of conditionAdvice(score, planOf({ duties: [feed] })))
          expect({ ...feed, ...patch }).not.toEqual(feed)
      }),
    )
  })
})

describe('one slipped reading', () => {
  const weighing = { r: 0.03, q: 1e-7 }

  it('at any place and cadence moves the level by less than the gate', () => {
    const series = fc.record({
      gap: fc.integer({ min: 1, max: 200 }),
      length: fc.integer({ min: 4, max: 14 }),
      slipAt: fc.nat(13),
      slip: fc.constantFrom(10, 0.1, 100, 0.01),
      growth: fc.double({ min: 0, max: 0.002, noNaN: true }),
      noise: fc.array(fc.double({ min: -1.5, max: 1.5, noNaN: true }), { minLength: 14, maxLength: 14 }),
    })
    fc.assert(
      fc.property(series, ({ gap, length, slipAt, slip, growth, noise }) => {
        const readings = Array.from({ length }, (_, index) => ({
          day: index * gap,
          grams: 60 * Math.exp(growth * Math.min(index * gap, 400) + weighing.r * (noise[index] ?? 0)),
          uid: uidOf(index),
        }))
        const at = slipAt % length
        const slipped = readings.map((one, index) =>
          index === at ? { ...one, grams: one.grams * slip } : one,
        )
        const honest = readings.filter((_, index) => index !== at)
        const told = weightLevel(slipped, weighing)
        const without = weightLevel(honest, weighing)
        expect(Math.abs(Math.log((told?.grams ?? 0) / (without?.grams ?? 0)))).toBeLessThan(4 * weighing.r)
        expect(told?.suspects).toContain(uidOf(at))
      }),
      { numRuns: 1000 },
    )
  })

  it('at the second weighing, months apart, does not pin the level', () => {
    const readings = [60, 600, 61, 62, 61.5].map((grams, index) => ({
      day: index * 45,
      grams,
      uid: uidOf(index),
    }))
    expect(weightLevel(readings, weighing)?.grams).toBeCloseTo(61.5, 0)
    expect(weightLevel(readings, weighing)?.suspects).toEqual([uidOf(1)])
  })

  it('at the very first is outvoted by the two after it', () => {
    const readings = [600, 60, 61, 62].map((grams, index) => ({ day: index * 45, grams, uid: uidOf(index) }))
    expect(weightLevel(readings, weighing)?.grams).toBeCloseTo(62, 0)
    expect(weightLevel(readings, weighing)?.suspects).toEqual([uidOf(0)])
  })
})
