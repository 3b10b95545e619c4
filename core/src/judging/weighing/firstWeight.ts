import { cameOn } from '../../facts/residents/stayState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from '../verdicts/verdict.ts'

/** It is news for so long. */
const NEWS_DAYS = 14

/** The first weight after an arrival, from which everything later is measured. */
export function firstWeight({ day, plan, state }: { day: Day; plan: Plan; state: ResidentState }): Verdict[] {
  const came = cameOn(state.stay)
  if (came === null || plan.lives === 'colony') return []
  const [first, second] = state.growth.weights.filter((weight) => weight.day >= came)
  if (!first || second || day - first.day > NEWS_DAYS) return []
  const bounds = plan.bounds?.grams
  return [
    {
      severity: 'info',
      since: first.day,
      what: { code: 'firstWeight', grams: first.grams },
      because: [
        { fact: 'arrived', day: came },
        ...(bounds ? [{ rule: 'plausible', low: bounds.range[0], high: bounds.range[1] } as const] : []),
      ],
    },
  ]
}
