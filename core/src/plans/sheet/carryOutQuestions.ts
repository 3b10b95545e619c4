import { everyPlan } from '../plan/everyPlan.ts'
import { impossibleOf } from '../plan/impossible.ts'
import type { Fault } from './fault.ts'
import type { Sheet } from './sheet.ts'

/** Duties and room are asked for in every season; a day in each. Days since 1970: the middle of January, April, July
 * and October 2026. */
const SEASONS = [20_468, 20_558, 20_649, 20_741]

/** What a sheet asks for at some stage, under some choice of its schools, that the housing of that stage cannot
 * bear; once for each stage and duty. */
export function carryOutQuestions(sheet: Sheet): Fault[] {
  const asked = new Map<string, Fault>()
  const seasons = sheet.schools.some(({ options }) => options.some(({ season }) => season))
    ? SEASONS
    : SEASONS.slice(0, 1)
  for (const plan of seasons.flatMap((day) => everyPlan(sheet, day)))
    for (const what of impossibleOf(plan)) {
      const index = sheet.stages.findIndex(({ id }) => id === plan.stage)
      const duty = 'duty' in what ? what.duty : ''
      const limits = 'asks' in what ? { asks: what.asks, most: Math.round(what.most * 1000) / 1000 } : {}
      asked.set(`${plan.stage} ${what.why} ${duty}`, {
        path: ['stages', index],
        what: {
          code: 'cannotCarryOut',
          why: what.why,
          stage: sheet.stages[index]?.name ?? '',
          duty,
          ...limits,
        },
      })
    }
  return [...asked.values()]
}
