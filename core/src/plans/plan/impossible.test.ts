import { describe, expect, it } from 'vitest'
import { dutyOf, planOf } from '../../testing/plans.ts'
import type { Duty } from './duty.ts'
import { everyPlan } from './everyPlan.ts'
import { impossibleOf } from './impossible.ts'
import type { Plan } from './plan.ts'
import { Sheet } from '../sheet/sheet.ts'

/** 20 × 15 × 10 cm: 3 litres, 300 cm², and 40 mm of floor: 1.2 litres. */
const HOUSING = { lengthMm: 200, depthMm: 150, heightMm: 100, floorDepthMm: [40, 60] as [number, number] }

function found(duty: Parameters<typeof dutyOf>[0] | null, { housing, ...more }: Partial<Plan> = {}) {
  const duties: Duty[] = duty ? [dutyOf(duty)] : []
  return impossibleOf(planOf({ duties, housing: { ...HOUSING, ...housing }, ...more }))
}

const soak = (litres: number) => ({ id: 'dampen', does: 'dampen', litres }) as const
const water = (litres: number, label?: string) =>
  ({ id: 'water', does: 'water', litres, ...(label && { label }) }) as const
const TANK: Partial<Plan> = { targets: [{ zone: 'water', measures: 'water' }] }

describe('what the smallest enclosure cannot bear', () => {
  it('is more water than a quarter of its floor takes up, or than may run down its walls', () => {
    expect(found(soak(0.3))).toEqual([])
    expect(found(soak(0.31))).toEqual([{ why: 'tooWet', duty: 'dampen', asks: 0.31, most: 0.3 }])
    const bare = { housing: { floorDepthMm: [0, 10] as [number, number] } }
    expect(found(soak(0.09), bare)).toEqual([])
    expect(found(soak(0.1), bare)).toMatchObject([{ why: 'tooWet', most: 0.09 }])
  })

  it('is a bowl that fills it, unless it is bathed elsewhere, and no bowl at all', () => {
    expect(found(water(0.3, 'Bowl'))).toEqual([])
    expect(found(water(0.4, 'Bowl'))).toMatchObject([{ why: 'bowlTooLarge', asks: 0.4 }])
    expect(found({ ...water(3, 'Soak'), effects: ['bathing'] })).toEqual([])
    expect(found(water(0.1))).toEqual([{ why: 'noBowl', duty: 'water' }])
    expect(found(water(0.1), { housing: { bowl: true } })).toEqual([])
  })

  it('is most of the water of a tank', () => {
    expect(found(water(1.7), TANK)).toEqual([])
    expect(found(water(1.9), TANK)).toMatchObject([{ why: 'tankEmptied', asks: 1.9 }])
  })

  it('is a crew where there is none, and a living floor taken out every month', () => {
    const out = (days: number) =>
      ({ id: 'fullClean', does: 'clean', cadence: { type: 'every', days, tolerance: 7 } }) as const
    expect(found({ id: 'crew', does: 'check' })).toEqual([{ why: 'noCrew', duty: 'crew' }])
    expect(found({ id: 'crew', does: 'check' }, { housing: { crew: true } })).toEqual([])
    expect(found(out(30), { housing: { crew: true } })).toEqual([
      { why: 'livingFloorOut', duty: 'fullClean' },
    ])
    expect(found(out(180), { housing: { crew: true } })).toEqual([])
    expect(found(out(30))).toEqual([])
  })

  it('is less room than each animal needs, when there is only one', () => {
    expect(found(null, { housing: { floorPerAnimalCm2: 300, litresPerAnimal: 3 } })).toEqual([])
    expect(found(null, { housing: { floorPerAnimalCm2: 301, litresPerAnimal: 3.1 } })).toEqual([
      { why: 'noFloorForOne', asks: 301, most: 300 },
      { why: 'noVolumeForOne', asks: 3.1, most: 3 },
    ])
  })

  it('cannot be said where the housing does not say how large it is', () => {
    expect(impossibleOf(planOf({ duties: [dutyOf(soak(50))], housing: { lengthMm: 200 } }))).toEqual([])
  })
})

describe('every plan of a sheet', () => {
  const school = (id: string, options: number) => ({
    id,
    question: 'Which?',
    default: '0',
    options: Array.from({ length: options }, (_, option) => ({
      id: String(option),
      name: 'One',
      reason: 'So.',
      duties: [{ id: 'look', minutes: 10 * Number(id) + option + 1 }],
    })),
  })

  it('is one of each stage under the usual sides and under each other side', () => {
    const sheet = Sheet.parse({
      id: 'testling',
      common: 'Testling',
      latin: 'Testudo testis',
      group: 'snake',
      lives: 'individual',
      stages: ['young', 'adult'].map((id) => ({
        id,
        name: id,
        until: { ageDays: 9 },
        duties: [{ id: 'look', does: 'look', cadence: { type: 'every', days: 1 } }],
      })),
      schools: [school('0', 2), school('1', 3)],
      sources: ['common husbandry practice'],
    })
    const plans = everyPlan(sheet, 20_000)
    expect(plans.map(({ stage }) => stage)).toEqual([
      ...Array<string>(4).fill('young'),
      ...Array<string>(4).fill('adult'),
    ])
    // The later school has the last word over the same duty.
    expect(plans.slice(0, 4).map(({ duties }) => duties[0]?.minutes)).toEqual([11, 11, 12, 13])
  })
})
