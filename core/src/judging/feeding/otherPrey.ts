import { countOf } from '../../facts/count/howMany.ts'
import { growthOver } from '../../plans/growth/expectedGrowth.ts'
import type { Duty, Food } from '../../plans/plan/duty.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { lastOffered } from '../../facts/feeding/feedLine.ts'
import { own } from '../../facts/subjects/own.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { isTrend } from '../weightTrend/localTrend.ts'
import { weightFact } from '../weightTrend/weightFact.ts'
import { weightOf } from '../weightTrend/weightOf.ts'
import type { Eater } from './mealAmount.ts'
import { mealAmount } from './mealAmount.ts'

/** Prey is bred, ordered and thawed ahead. */
const AHEAD_DAYS = 30
const STEP_DAYS = 5
/** Where the sheet says nothing of growth, no more than this in a month, in ln grams. */
const MOST_A_MONTH = 0.2

interface Known {
  day: Day
  plan: Plan
  state: ResidentState
}

/** ln grams that it gains in so many days if it goes on as it does, and no faster than its kind can. */
function gainIn(days: number, { plan, state }: Known): number {
  const { belief, level } = weightOf(state, plan)
  if (!belief || !level || !isTrend(belief)) return 0
  const most = plan.growth
    ? growthOver(plan.growth, level.grams, days, 'fastest')
    : (MOST_A_MONTH * days) / AHEAD_DAYS
  return Math.max(0, Math.min(most, belief.slope * days))
}

/** The eater as it will be: lengths grow as the cube root of the weight. */
function eaterIn(days: number, duty: Duty, known: Known): Eater {
  const { state, plan } = known
  const { level } = weightOf(state, plan)
  const gain = gainIn(days, known)
  const sizes = Object.fromEntries(
    Object.entries(state.growth.sizes).map(([part, size]) => [
      part,
      { ...size, mm: size.mm * Math.exp(gain / 3) },
    ]),
  )
  const weight = level && { ...level, grams: level.grams * Math.exp(gain) }
  return { sizes, line: own(state.feeding.lines, duty.id), weight, animals: countOf(state) }
}

function sizeIn(days: number, duty: Duty, food: Food, known: Known): string | undefined {
  return duty.amount && mealAmount(duty.amount, food.sizes, eaterIn(days, duty, known)).size
}

/** When the size of what it eats changes within a month, by what its sheet says of weight or width; also when what
 * was offered last is not the size of today any more. Nothing of a colony. */
export function otherPrey(known: Known): Verdict[] {
  const { day, plan, state } = known
  const { level } = weightOf(state, plan)
  if (plan.lives === 'colony') return []
  for (const duty of plan.duties) {
    if (duty.amount?.by !== 'massShare' && duty.amount?.by !== 'width') continue
    const last = lastOffered(own(state.feeding.lines, duty.id))
    for (const food of duty.foods ?? []) {
      const now = sizeIn(0, duty, food, known)
      const from = last?.item === food.item && last.size !== undefined ? last.size : now
      if (now === undefined || from === undefined) continue
      for (let days = 0; days <= AHEAD_DAYS; days += STEP_DAYS) {
        const to = sizeIn(days, duty, food, known)
        if (to === undefined || to === from) continue
        return [
          {
            severity: 'info',
            what: { code: 'otherPrey', item: food.item, from, to, on: day + days },
            because: [...(level ? [weightFact(level)] : []), { rule: 'amount', amount: duty.amount }],
          },
        ]
      }
    }
  }
  return []
}
