import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { conditionDue, partsDue } from './bodyDue.ts'
import { expectedWeight } from './expectedWeight.ts'
import { contextToAsk, weighingDoubt } from './weighingDoubt.ts'

const GRAMS = [60.2, 61.1, 60.7, 61.5, 61.2]
const weekly = GRAMS.map((grams, week) => entryOn(week * 7, 'weighed', { grams }))
const TUB = { label: 'Blue tub', grams: 118 }
const day = FIRST_DAY + 35
const plan = planOf()
const knownOf = (...entries: ReturnType<typeof entryOn>[]) => ({ day, state: told(entries), plan })
const known = knownOf(...weekly)

function bandOf(at: Parameters<typeof expectedWeight>[0]) {
  const band = expectedWeight(at)
  if (!band) throw new Error('There is a band.')
  return band
}

function asked(grams: number, at: Partial<Parameters<typeof weighingDoubt>[2]> = {}, about = known) {
  const draft = { subject: 'x', kind: 'weighed', payload: { grams } } as const
  return weighingDoubt(draft, about, { tub: null, tubs: [TUB], justNow: null, ...at })
}

describe('what the next weighing should show', () => {
  it('lies around where the trend is heading, within what a meal and the scale can make of it', () => {
    const band = bandOf(known)
    expect(band).toMatchObject({ by: 'trend', last: { grams: 61.2 } })
    expect(band.grams).toBeCloseTo(61.6, 0)
    expect(band.low).toBeLessThan(59)
    expect(band.high).toBeGreaterThan(64)
    expect(band.high).toBeLessThan(80)
  })

  it('widens with every day nobody weighs, up to what can be growth', () => {
    const widths = [36, 50, 90, 400].map((after) => {
      const { low, high } = bandOf({ ...known, day: FIRST_DAY + after })
      return high / low
    })
    expect([...widths].sort((a, b) => a - b)).toEqual(widths)
    expect(bandOf({ ...known, day: FIRST_DAY + 4000 }).high).toBeLessThan(61.2 * 7)
  })

  it('is taken from one weight where there is no trend, from the stage before any, and from nothing for many', () => {
    expect(bandOf(knownOf(entryOn(30, 'weighed', { grams: 60 }))).by).toBe('last')
    const bounds = { grams: { range: [1, 90] as [number, number], of: 'sheet' as const }, mm: {} }
    expect(expectedWeight({ ...knownOf(), plan: planOf({ bounds }) })).toEqual({
      grams: null,
      low: 1,
      high: 90,
      last: null,
      by: 'sheet',
    })
    expect(expectedWeight(knownOf())).toBeNull()
    expect(expectedWeight({ ...known, plan: planOf({ lives: 'colony' }) })).toBeNull()
  })
})

describe('a question about a weighing', () => {
  it('is asked of no number within what is expected', () => {
    const { low, high } = bandOf(known)
    fc.assert(
      fc.property(fc.double({ min: low, max: high, noNaN: true }), (grams) => {
        expect(asked(grams)).toBeNull()
      }),
    )
  })

  it('is asked of every number outside of it', () => {
    const { low, high } = bandOf(known)
    const outside = fc.oneof(
      fc.double({ min: 0.01, max: low * 0.999, noNaN: true }),
      fc.double({ min: high * 1.001, max: 1e6, noNaN: true }),
    )
    fc.assert(
      fc.property(outside, (grams) => {
        expect(asked(grams)).not.toBeNull()
      }),
    )
  })

  it('knows a slipped decimal, a tub left in, and a tub taken off twice', () => {
    expect(asked(6.12)).toMatchObject({ code: 'slippedDecimal', instead: 61.2 })
    expect(asked(179.5)).toMatchObject({ code: 'notTared', instead: 61.5, tub: 'Blue tub' })
    expect(asked(61.5 - 118, { tub: TUB })).toMatchObject({ code: 'taredTwice', instead: 61.5 })
  })

  it('asks about a second one within a minute, whatever it shows', () => {
    expect(asked(61.3, { justNow: 61.2 })).toMatchObject({ code: 'justWeighed', usual: 61.2 })
  })

  it('asks a little too much without calling it a slip', () => {
    const { high } = bandOf(known)
    expect(asked(high * 1.05)).toMatchObject({ code: 'outsideExpected', high })
  })
})

describe('what was on the balance besides', () => {
  const { low, high } = bandOf(known)

  it('is asked only where it could make the difference', () => {
    const middle = contextToAsk(61, known, { low, high })
    const heavy = contextToAsk(high + 1, known, { low, high })
    expect([middle, heavy]).toEqual([[], ['fullGut', 'gravid']])
  })

  it('of a skin that came off is asked of who sheds, and not where it is on record', () => {
    const shedding = planOf({ ecdysis: { what: 'shed', days: { low: 20, high: 40 } } as never })
    expect(contextToAsk(low - 1, { ...known, plan: shedding }, { low, high })).toEqual(['justShed'])
    const shed = knownOf(...weekly, entryOn(33, 'ecdysis', { stage: 'shed', how: 'whole' }))
    expect(contextToAsk(low - 1, { ...shed, plan: shedding }, { low, high })).toEqual([])
    expect(contextToAsk(low - 1, known, { low, high })).toEqual([])
  })

  it('lets a weighing move the trend less', () => {
    const heavy = (more: object) =>
      bandOf(knownOf(...weekly, entryOn(34, 'weighed', { grams: 66, ...more }))).grams ?? NaN
    expect(heavy({ context: ['fullGut'] })).toBeLessThan(heavy({}))
    expect(heavy({ context: ['fullGut'] })).toBeGreaterThan(bandOf(known).grams ?? NaN)
  })
})

describe('a weighing the keeper doubts', () => {
  const doubted = entryOn(35, 'weighed', { grams: 63, doubted: true })

  it('changes nothing that is expected, and is named', () => {
    expect(bandOf({ ...knownOf(...weekly, doubted), day })).toEqual(bandOf(known))
  })

  it('counts once another agrees with it', () => {
    const agreed = knownOf(...weekly, doubted, entryOn(36, 'weighed', { grams: 63.2 }))
    const alone = knownOf(...weekly, entryOn(36, 'weighed', { grams: 63.2 }))
    const on = FIRST_DAY + 36
    expect(bandOf({ ...agreed, day: on }).grams).toBeGreaterThan(bandOf({ ...alone, day: on }).grams ?? NaN)
  })
})

describe('lengths and condition', () => {
  const fed = { id: 'feed', does: 'feed', cadence: { type: 'every', days: 7 } } as const
  const byWidth = planOf({
    duties: [{ ...fed, amount: { by: 'width', part: 'eyeGap', factor: 1, count: [1, 2] } } as never],
  })

  it('are due where food or box is measured by them, and old enough', () => {
    expect(partsDue({ ...known, plan })).toEqual([])
    expect(partsDue({ ...known, plan: byWidth })).toEqual(['eyeGap'])
    const measured = knownOf(entryOn(30, 'measured', { part: 'eyeGap', mm: 9 }))
    expect(partsDue({ ...measured, plan: byWidth })).toEqual([])
    expect(partsDue({ ...measured, plan: byWidth, day: FIRST_DAY + 395 })).toEqual(['eyeGap'])
  })

  it('a score is due again after two months, and after three weeks where it asked for another diet', () => {
    const scored = (score: number, after: number) =>
      conditionDue({ ...knownOf(entryOn(0, 'condition', { score })), day: FIRST_DAY + after })
    expect(scored(3, 59)).toBeNull()
    expect(scored(3, 60)).toBe(FIRST_DAY + 60)
    expect(scored(4, 21)).toBe(FIRST_DAY + 21)
    expect(scored(4.5, 20)).toBeNull()
    expect(conditionDue(known)).toBeNull()
  })
})
