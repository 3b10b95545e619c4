import { describe, expect, it } from 'vitest'
import { doubtAbout } from '../doubts/doubts.ts'
import type { Entry } from '../../facts/entries/entry.ts'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../walk/residentDay.ts'
import { Rest } from '../../plans/winterRest/winterRest.ts'

const HOME = '00000000-0000-7000-8000-0000000000ff'
const rest = Rest.parse({
  fastDays: 28,
  leastGrams: 600,
  stopAtLoss: 0.1,
  stopAtUrine: true,
  wake: ['Warm it in steps'],
})
const plan = planOf({ rest })
/** Here for long, weighed every week, last fed a month ago. */
const sound = [
  entryOn(-200, 'arrived', { enclosure: HOME }),
  entryOn(-40, 'fed', { item: 'weeds', outcome: 'taken' }),
  ...[-14, -7, 0].map((day) => entryOn(day, 'weighed', { grams: 1000 })),
]
const cooled = { subject: 'x', kind: 'held', payload: { hold: 'winterRest', reason: 'November' } } as const

const gate = (more: readonly Entry[], day = 1, under = plan) =>
  doubtAbout(cooled, { day: FIRST_DAY + day, state: told([...sound, ...more]), plan: under })
const against = (...args: Parameters<typeof gate>) => {
  const doubt = gate(...args)
  return doubt?.code === 'restUnfit' ? doubt.obstacles.map(({ code }) => code) : doubt
}

describe('the gate of a winter rest', () => {
  it('is open for the grown, sound, weighed and fasted', () => {
    expect(gate([])).toBeNull()
  })

  it.each([
    ['one that is thin', [entryOn(0, 'condition', { score: 2 })], 'thin'],
    ['one that is unwell', [entryOn(0, 'observed', { text: 'Runny nose', severity: 'act' })], 'unwell'],
    ['one that ate lately', [entryOn(0, 'fed', { item: 'weeds', outcome: 'taken' })], 'ateLately'],
    ['one about to shed', [entryOn(0, 'ecdysis', { stage: 'inBlue' })], 'otherwise'],
  ] as const)('is closed to %s', (_, more, code) => {
    expect(against(more)).toContain(code)
  })

  it('is closed to those lately arrived and those not weighed lately', () => {
    expect(against([], 30)).toEqual(['unweighed'])
    const lately = doubtAbout(cooled, {
      day: FIRST_DAY + 1,
      state: told([entryOn(-20, 'arrived', { enclosure: HOME }), entryOn(0, 'weighed', { grams: 1000 })]),
      plan,
    })
    expect(lately).toMatchObject({ obstacles: [{ code: 'lately', arrivedOn: FIRST_DAY - 20, days: 60 }] })
  })

  it('is closed to one that is too light', () => {
    expect(gate([], 1, planOf({ rest: { ...rest, leastGrams: 1200 } }))).toMatchObject({
      obstacles: [{ code: 'light', least: 1200 }],
    })
  })

  it('is closed where no rest is planned, as for the young', () => {
    expect(against([], 1, planOf())).toEqual(['noRest'])
  })

  it('asks no weight of those that are never weighed', () => {
    const ants = planOf({ rest, duties: planOf().duties.filter(({ does }) => does !== 'weigh') })
    expect(against([], 30, ants)).toBeNull()
  })

  it('is about the winter only', () => {
    const leaveBe = { ...cooled, payload: { hold: 'leaveBe', reason: 'So' } } as const
    expect(doubtAbout(leaveBe, { day: FIRST_DAY, state: told([]), plan })).toBeNull()
  })
})

describe('a winter rest', () => {
  const resting = entryOn(1, 'held', { hold: 'winterRest', reason: 'November' })
  const whats = (day: number, more: readonly Entry[]) =>
    residentDay({ day: FIRST_DAY + day, plan, state: told([...sound, resting, ...more]) }).verdicts.map(
      ({ what }) => what,
    )
  const weekly = (...grams: number[]) =>
    grams.map((value, index) => entryOn(8 + 7 * index, 'weighed', { grams: value }))

  it('goes on in peace while it is weighed and holds its weight', () => {
    expect(whats(30, weekly(995, 990, 984, 980))).toEqual([])
  })

  it('ends when a tenth is gone, counted from the weight it began with', () => {
    expect(whats(36, weekly(985, 965, 940, 915, 885))).toMatchObject([
      { code: 'losing', explainedBy: 'winterRest' },
    ])
    expect(whats(29, weekly(985, 965, 940, 915))).toMatchObject([
      { code: 'lossExplained', explainedBy: 'winterRest' },
    ])
  })

  it('is weighed again at its stop, on the same day, and ends when the second weighing agrees', () => {
    const says = (day: number, more: readonly Entry[]) =>
      residentDay({ day: FIRST_DAY + day, plan, state: told([...sound, resting, ...more]) })
        .verdicts.filter(({ what }) => what.code === 'losing')
        .map(({ severity }) => severity)
    const once = weekly(985, 965, 940, 915, 890)
    expect(says(36, once)).toEqual(['watch'])
    expect(says(36, [...once, entryOn(36, 'weighed', { grams: 888 }, { minute: 900 })])).toEqual(['act'])
    expect(says(36, [...once, entryOn(36, 'weighed', { grams: 932 }, { minute: 900 })])).toEqual([])
    // A decimal that slipped is no loss.
    expect(says(36, [...weekly(985, 965, 940, 915), entryOn(36, 'weighed', { grams: 89 })])).toEqual([])
  })

  it('is counted from the weighing before it, as the balance showed it, and not from a full gut of the summer', () => {
    const full = [-80, -60].map((day) => entryOn(day, 'weighed', { grams: 1120 }))
    expect(whats(36, [...full, ...weekly(985, 965, 940, 930, 920)])).toMatchObject([
      { code: 'lossExplained', lost: expect.closeTo(0.08, 6) as number },
    ])
  })

  it('ends when it passes water', () => {
    const urine = entryOn(20, 'droppings', { kind: 'urine' })
    expect(whats(22, [...weekly(995, 990), urine])).toEqual([{ code: 'wake' }])
    expect(whats(5, [entryOn(0, 'droppings', { kind: 'urine' })])).toEqual([])
  })

  it('should not be when nobody weighs it, or it falls ill', () => {
    expect(whats(30, weekly(995))).toMatchObject([{ code: 'restUnfit', obstacles: [{ code: 'unweighed' }] }])
    const ill = entryOn(14, 'observed', { text: 'Bubbles at the nose', severity: 'act' })
    expect(whats(16, [...weekly(995, 990), ill])).toContainEqual(
      expect.objectContaining({
        code: 'restUnfit',
        obstacles: [expect.objectContaining({ code: 'unwell' })],
      }),
    )
  })
})
