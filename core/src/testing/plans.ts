import type { Duty } from '../plans/plan/duty.ts'
import type { Plan } from '../plans/plan/plan.ts'
import { Standing } from '../plans/sheet/standing.ts'

const source = { from: 'sheet', sheet: 'testling', stage: 'adult' } as const

export function dutyOf(duty: Partial<Duty> & Pick<Duty, 'id' | 'does'>): Duty {
  return { cadence: { type: 'every', days: 1, tolerance: 0 }, people: 1, minutes: 1, source, ...duty }
}

export const CRICKETS = {
  item: 'crickets',
  gutLoadDays: 1,
  sizes: [
    { size: 'S', widthMm: 2 },
    { size: 'M', widthMm: 4 },
    { size: 'L', widthMm: 6 },
  ],
}

export function planOf(plan: Partial<Plan> = {}): Plan {
  return {
    sheet: 'testling',
    stage: 'adult',
    duties: [
      dutyOf({
        id: 'feed',
        does: 'feed',
        cadence: { type: 'every', days: 7, tolerance: 1 },
        offerAgainAfter: 3,
        amount: { by: 'count', count: [4, 6] },
        foods: [CRICKETS],
        supplements: [{ name: 'calcium', everyMeals: 1 }],
      }),
      dutyOf({ id: 'water', does: 'water', litres: 0.5 }),
      dutyOf({ id: 'weigh', does: 'weigh', cadence: { type: 'every', days: 28, tolerance: 4 } }),
    ],
    holds: [
      { hold: 'inBlue', suppresses: ['feed', 'weigh'], days: 8, worryAfter: 14, endsBy: 'event', source },
      { hold: 'soft', suppresses: ['feed'], days: 10, worryAfter: 15, endsBy: 'event', source },
      { hold: 'settling', suppresses: ['weigh'], days: 7, endsBy: 'time', source },
      { hold: 'digesting', suppresses: ['weigh'], days: 3, endsBy: 'time', fromMassShare: 0.05, source },
    ],
    targets: [],
    cautions: [],
    weighing: { r: 0.03, q: 1e-7 },
    refusalsToWorry: 3,
    standing: Standing.parse({}),
    ...plan,
  }
}
