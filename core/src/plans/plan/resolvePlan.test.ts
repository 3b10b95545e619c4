import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PlanChoices } from './resolvePlan.ts'
import { isPlan, resolvePlan } from './resolvePlan.ts'
import type { Override } from './override.ts'
import { Sheet } from '../sheet/sheet.ts'

const sheet = Sheet.parse({
  id: 'testling',
  common: 'Testling',
  latin: 'Testudo testis',
  group: 'snake',
  lives: 'individual',
  competence: 'fast snakes',
  people: 2,
  stages: [
    {
      id: 'adult',
      name: 'Adult',
      duties: [
        { id: 'feed', does: 'feed', cadence: { type: 'every', days: 14, tolerance: 2 } },
        { id: 'clean', does: 'clean', cadence: { type: 'perWeek', times: 2 } },
      ],
    },
  ],
  holds: [{ hold: 'inBlue', suppresses: ['feed'], days: 8, endsBy: 'event' }],
  targets: [{ zone: 'warm spot', celsius: [31, 33], ceilingCelsius: 35 }],
  schools: [
    {
      id: 'misting',
      question: 'Mist or soak?',
      default: 'soak',
      options: [
        {
          id: 'soak',
          name: 'Soak',
          reason: 'Holds steady.',
          duties: [{ id: 'dampen', does: 'dampen', cadence: { type: 'every', days: 10 } }],
        },
        {
          id: 'mist',
          name: 'Mist',
          reason: 'As rain does.',
          duties: [{ id: 'dampen', does: 'dampen', cadence: { type: 'every', days: 1 } }],
          targets: [{ zone: 'warm spot', humidity: [60, 80] }],
        },
      ],
    },
  ],
  sources: ['common husbandry practice'],
})

function planOf(choices: Partial<PlanChoices> = {}) {
  const plan = resolvePlan(sheet, { stage: 'adult', day: 100, ...choices })
  if (!isPlan(plan)) throw new Error(JSON.stringify(plan))
  const duty = (id: string) => plan.duties.find((one) => one.id === id)
  return { ...plan, duty }
}

function feedEvery(days: number, more: Partial<Override> = {}): Override {
  return {
    patch: { id: 'feed', cadence: { type: 'every', days, tolerance: 0 } },
    by: 'kelechi',
    on: 90,
    reason: 'Fat.',
    ...more,
  }
}

describe('a plan', () => {
  it('knows of each line where it comes from', () => {
    const plan = planOf({ residentOverrides: [feedEvery(21, { until: 120 })] })
    expect(plan.duty('clean')?.source).toEqual({ from: 'sheet', sheet: 'testling', stage: 'adult' })
    expect(plan.duty('dampen')?.source).toEqual({
      from: 'school',
      sheet: 'testling',
      school: 'misting',
      option: 'soak',
    })
    expect(plan.duty('feed')?.source).toEqual({
      from: 'resident',
      by: 'kelechi',
      on: 90,
      until: 120,
      reason: 'Fat.',
    })
  })

  it('has the holds and signs of its stage, and tests the water as often as the stage needs', () => {
    const wet = Sheet.parse({
      ...sheet,
      stages: [
        { ...sheet.stages[0], id: 'larva', name: 'Larva', until: { ageDays: 60 }, waterEvery: 3 },
        sheet.stages[0],
      ],
      holds: [
        ...sheet.holds,
        { hold: 'soft', stages: ['larva'], suppresses: ['feed'], days: 3, endsBy: 'event' },
      ],
      signs: [
        {
          sign: 'Dying',
          severity: 'act',
          stages: ['larva'],
          shownBy: { fact: 'deaths', days: 3, least: 3, share: 0.1 },
        },
      ],
      water: { ammonia: { want: [0, 0], harmAbove: 0.2 } },
      waterEvery: 7,
    })
    const of = (stage: string) => {
      const plan = resolvePlan(wet, { stage, day: 100 })
      if (!isPlan(plan)) throw new Error(JSON.stringify(plan))
      const test = plan.duties.find(({ reads }) => reads?.what === 'ammonia')
      return [plan.holds.map(({ hold }) => hold), plan.signs?.length ?? 0, test?.cadence]
    }
    expect(of('larva')).toEqual([['inBlue', 'soft'], 1, { type: 'every', days: 3, tolerance: 1 }])
    expect(of('adult')).toEqual([['inBlue'], 0, { type: 'every', days: 7, tolerance: 2 }])
  })

  it('changes with the school the site chose, targets and all', () => {
    const plan = planOf({ schools: { misting: 'mist' } })
    expect(plan.duty('dampen')?.cadence).toMatchObject({ days: 1 })
    expect(plan.targets).toEqual([
      {
        zone: 'warm spot',
        celsius: [31, 33],
        ceilingCelsius: 35,
        humidity: [60, 80],
        source: { from: 'school', sheet: 'testling', school: 'misting', option: 'mist' },
      },
    ])
  })

  it('leaves alone what a change does not name', () => {
    const patch = { id: 'feed', minutes: 9 }
    const duty = planOf({ siteOverrides: [{ patch, by: 'maren', on: 1, reason: 'Slow.' }] }).duty('feed')
    expect(duty).toMatchObject({ minutes: 9, people: 2, competence: 'fast snakes', cadence: { days: 14 } })
  })

  it('lets the resident’s own change outrank the site’s', () => {
    const plan = planOf({ siteOverrides: [feedEvery(10)], residentOverrides: [feedEvery(21)] })
    expect(plan.duty('feed')?.cadence).toMatchObject({ days: 21 })
  })

  it.each([
    [89, 14],
    [90, 21],
    [120, 21],
    [121, 14],
  ])('on day %i a change signed on 90 until 120 makes it every %i days', (day, days) => {
    const plan = planOf({ day, residentOverrides: [feedEvery(21, { until: 120 })] })
    expect(plan.duty('feed')?.cadence).toMatchObject({ days })
  })

  it('drops a duty, adds one, and ignores a change to one it does not have', () => {
    const by = { by: 'maren', on: 1, reason: 'So.' }
    const plan = planOf({
      siteOverrides: [
        { ...by, patch: { id: 'clean', drop: true } },
        { ...by, patch: { id: 'look', does: 'look', cadence: { type: 'every', days: 1, tolerance: 0 } } },
        { ...by, patch: { id: 'brush', minutes: 3 } },
      ],
    })
    expect(plan.duties.flatMap(({ id, does }) => (does === 'read' ? [] : [id])).sort()).toEqual([
      'dampen',
      'feed',
      'look',
    ])
  })

  it('is refused with what is known when stage or school are not', () => {
    expect(resolvePlan(sheet, { stage: 'egg', day: 1 })).toEqual({
      code: 'unknown_stage',
      stage: 'egg',
      known: ['adult'],
    })
    expect(resolvePlan(sheet, { stage: 'adult', day: 1, schools: { misting: 'hose' } })).toMatchObject({
      code: 'unknown_option',
      known: ['soak', 'mist'],
    })
  })

  const signed = fc.array(
    fc.record({ days: fc.integer({ min: 1, max: 60 }), on: fc.integer({ min: 1, max: 100 }) }),
    { minLength: 1, maxLength: 6 },
  )

  it('composes: the last signed of several changes to the same field stands', () => {
    fc.assert(
      fc.property(signed, (changes) => {
        const at = (index: number) => `2026-01-01T0${index}:00:00.000Z`
        const overrides = changes.map(({ days, on }, index) => feedEvery(days, { on, at: at(index) }))
        const last = changes.reduce((latest, one) => (one.on >= latest.on ? one : latest))
        expect(planOf({ residentOverrides: overrides }).duty('feed')?.cadence).toMatchObject({
          days: last.days,
        })
      }),
    )
  })

  it('does not depend on the order in which changes are handed over', () => {
    fc.assert(
      fc.property(signed, fc.infiniteStream(fc.double({ noNaN: true })), (changes, dice) => {
        const overrides = changes.map(({ days, on }) => feedEvery(days, { on }))
        const shuffled = overrides
          .map((one) => ({ one, lot: dice.next().value as number }))
          .sort((a, b) => a.lot - b.lot)
          .map(({ one }) => one)
        const given = planOf({ residentOverrides: overrides })
        expect(planOf({ residentOverrides: shuffled }).duties).toEqual(given.duties)
      }),
    )
  })

  it('changes housing, light and targets, each line with its source', () => {
    const plan = planOf({
      residentOverrides: [
        { housing: { hides: 3 }, by: 'maren', on: 5, reason: 'Shy.' },
        { target: { zone: 'warm spot', celsius: [29, 30] }, by: 'maren', on: 6, reason: 'Overheats.' },
      ],
    })
    expect(plan.housing).toEqual({ hides: 3 })
    expect(plan.sources?.['hides']).toMatchObject({ from: 'resident', reason: 'Shy.' })
    expect(plan.targets[0]).toMatchObject({ celsius: [29, 30], ceilingCelsius: 35, source: { on: 6 } })
  })

  it('spreads what falls so many times a week by the phase it is given', () => {
    expect(planOf({ phase: 3 }).duty('clean')?.cadence).toMatchObject({ type: 'perWeek', phase: 3 })
  })
})
