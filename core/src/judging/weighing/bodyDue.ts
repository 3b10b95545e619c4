import { FAT, THIN } from '../condition/conditionAdvice.ts'
import { partsAsked } from '../boxFit/space.ts'
import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { own } from '../../facts/subjects/own.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Evidence } from '../verdicts/evidence.ts'

/** A measure is taken again after so many days while the animal grows, and after so many once it is grown. */
const GROWING_DAYS = 60
const GROWN_DAYS = 365
/** A score is looked at again after so many days; sooner where the last one asked for more or less food. */
const SCORE_DAYS = 60
const AGAIN_DAYS = 21

type Known = Pick<Evidence, 'day' | 'state' | 'plan'>

/** What of the animal its food and its box are measured by. */
function partsInUse({ duties, housing }: Plan): BodyPart[] {
  const ofPrey = duties.flatMap(({ amount }) => (amount?.by === 'width' ? [amount.part] : []))
  return [...new Set([...ofPrey, ...partsAsked(housing)])]
}

/** The parts that should be measured again, because its food or its box depends on them and they were measured too
 * long ago, or never. None of a colony. */
export function partsDue({ day, state, plan }: Known): BodyPart[] {
  if (plan.lives === 'colony') return []
  const every = plan.growth?.last === false ? GROWING_DAYS : GROWN_DAYS
  return partsInUse(plan).filter((part) => {
    const last = own(state.growth.sizes, part)
    return !last || day >= last.day + every
  })
}

/** Since when its condition should be scored again; null while it need not be, and for a colony. Who was never
 * scored may be, and is not asked for. */
export function conditionDue({ day, state, plan }: Known): Day | null {
  const { condition } = state.health
  if (plan.lives === 'colony' || !condition) return null
  const every = condition.score <= THIN || condition.score >= FAT ? AGAIN_DAYS : SCORE_DAYS
  const due = condition.day + every
  return day >= due ? due : null
}
