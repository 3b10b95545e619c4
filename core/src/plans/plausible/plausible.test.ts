import { describe, expect, it } from 'vitest'
import { sheetQuestions } from '../sheet/questions.ts'
import { Sheet } from '../sheet/sheet.ts'
import { ASKABLE } from './askable.ts'
import { GROUP_SIZES } from './groups.ts'
import { boundsAt } from './boundsAt.ts'

const FLOOR = { zone: 'cool', measures: 'air', celsius: [14, 18], ceilingCelsius: 22, neverBelowCelsius: 2 }

function questionsOf(more: object) {
  const sheet = Sheet.parse({
    id: 'testling',
    common: 'Testling',
    latin: 'Testudo testis',
    group: 'salamander',
    lives: 'individual',
    stages: [{ id: 'adult', name: 'Adult', duties: [duty({})] }],
    targets: [FLOOR],
    sources: ['common husbandry practice'],
    ...more,
  })
  return sheetQuestions(sheet).map(({ what }) => what)
}

function duty(more: object) {
  return { id: 'feed', does: 'feed', cadence: { type: 'every', days: 1 }, ...more }
}

function roomFor(more: object) {
  return { numbers: { perLitre: [1, 2], per100Cm2: [1, 2], start: 1, ...more } }
}

const stageWith = (more: object) => ({
  stages: [{ id: 'adult', name: 'Adult', duties: [duty({})], ...more }],
})

describe('a sheet held against its group', () => {
  it('has none to ask where all lies within it', () => {
    expect(questionsOf({})).toEqual([])
  })

  it.each([
    [
      'a salamander in the heat',
      { targets: [{ ...FLOOR, celsius: [24, 30], ceilingCelsius: 33 }] },
      'zone',
      24,
    ],
    ['air that only harms far above', { targets: [{ ...FLOOR, ceilingCelsius: 41 }] }, 'ceiling', 41],
    [
      'half its weight at a meal',
      stageWith({ duties: [duty({ amount: { by: 'massShare', share: [0.5, 0.7] } })] }),
      'meal',
      0.5,
    ],
    [
      'a bowl that is a third of the lightest',
      stageWith({
        plausible: { grams: [3, 40] },
        duties: [duty({ amount: { by: 'portion', grams: 4, min: 1, max: 6 } })],
      }),
      'meal',
      1 / 3,
    ],
    ['an adult of three tons', { adult: { grams: [20, 3_000_000] } }, 'grams', 3_000_000],
    ['a length in metres', { adult: { part: 'length', mm: [0.15, 0.2] } }, 'mm', 0.15],
    ['bounds that are none', stageWith({ plausible: { grams: [1, 9000] } }), 'grams', 9000],
  ])('%s is asked about', (_, more, of, value) => {
    expect(questionsOf(more)).toContainEqual(expect.objectContaining({ code: 'outsideGroup', of, value }))
  })

  it.each([
    [
      'light that burns',
      { light: { uvb: { share: [0.5, 0.7], distanceMm: [250, 400], index: [3, 40] } } },
      'ultraviolet',
    ],
    ['air as dry as dust', { targets: [{ ...FLOOR, humidity: [1, 3] }] }, 'humidity'],
    ['a meal a season', stageWith({ duties: [duty({ cadence: { type: 'every', days: 400 } })] }), 'rhythm'],
    ['two days of quarantine', { quarantineDays: 2 }, 'quarantine'],
    [
      'vitamin D3 every day',
      stageWith({ duties: [duty({ supplements: [{ name: 'calcium with D3', everyDays: 1 }] })] }),
      'd3',
    ],
    [
      'a tube on the back',
      { light: { uvb: { share: [0.5, 0.7], distanceMm: [25, 40], index: [0.5, 1] } } },
      'lampDistance',
    ],
    ['a thousand to the litre', { housing: roomFor({ perLitre: [10, 1000] }) }, 'perLitre'],
    ['a thousand on a hand', { housing: roomFor({ per100Cm2: [10, 1000] }) }, 'per100Cm2'],
  ])('%s is asked about, too', (_, more, of) => {
    expect(questionsOf(more)).toContainEqual(expect.objectContaining({ code: 'outsideGroup', of }))
  })

  it('does not take a bowl for many for the meal of one', () => {
    const forMany = duty({ amount: { by: 'portion', grams: 4, min: 1, max: 6, per: 10 } })
    expect(questionsOf(stageWith({ plausible: { grams: [3, 40] }, duties: [forMany] }))).toEqual([])
  })

  it('lets a rest be colder than any life', () => {
    const rest = {
      ...FLOOR,
      zone: 'rest',
      during: 'winterRest',
      celsius: [1, 2],
      ceilingCelsius: 6,
      neverBelowCelsius: 0,
    }
    expect(questionsOf({ targets: [FLOOR, rest] })).toEqual([])
  })
})

describe('the bounds of a stage', () => {
  const snake = { group: 'snake', lives: 'individual' } as const

  it('are those of the sheet, and of the group where it says nothing', () => {
    expect(boundsAt(snake, { plausible: { grams: [450, 5000] } })).toMatchObject({
      grams: { range: [450, 5000], of: 'sheet' },
      mm: { length: { range: GROUP_SIZES.snake.mm.length, of: 'group' } },
    })
    expect(boundsAt(snake, {}).grams?.of).toBe('group')
  })

  it('say nothing of the weight of a colony, which may be that of all of them', () => {
    expect(boundsAt({ group: 'isopod', lives: 'colony' }, {}).grams).toBeUndefined()
  })
})

it('every group has limits that run upwards, the surface above the air', () => {
  for (const { grams, mm } of Object.values(GROUP_SIZES))
    for (const [low, high] of [grams, ...Object.values(mm)]) expect(low).toBeLessThan(high)
  for (const { around, surface, meal } of Object.values(ASKABLE)) {
    expect(around[0]).toBeLessThan(around[1])
    expect(surface).toBeGreaterThan(around[1])
    expect(meal).toBeGreaterThan(0)
  }
})
