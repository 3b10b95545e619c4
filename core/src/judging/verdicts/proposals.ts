import { conditionAdvice, FAT, THIN } from '../condition/conditionAdvice.ts'
import { otherPrey } from '../feeding/otherPrey.ts'
import { crowding } from '../boxFit/crowding.ts'
import { outgrows } from '../boxFit/outgrows.ts'
import { grewAtMolt, longerIntervals } from '../skin/skinCourse.ts'
import { firstWeight } from '../weighing/firstWeight.ts'
import type { Box } from '../../facts/enclosures/box.ts'
import { stageReached } from '../stages/stageReached.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { weightOf } from '../weightTrend/weightOf.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { About } from '../stages/stageReached.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from './verdict.ts'

export interface DecisionEvidence {
  day: Day
  plan: Plan
  state: ResidentState
  /** What the register knows besides the entries; stages may end by it. */
  about?: About & {
    /** Where it lives. */
    box?: Box | null
  }
}

function nextStage({ day, plan, state, about = {} }: DecisionEvidence): Verdict[] {
  const weight = weightOf(state, plan).level
  const reached = plan.next && stageReached(day, plan, state, weight, about)
  if (!plan.next || !reached) return []
  const { stage, name } = plan.next
  return [
    {
      severity: 'info',
      what: { code: 'stageReached', stage, name },
      because: [{ fact: 'reached', ...reached }, { source: fromSheet(plan) }],
    },
  ]
}

/** From here down it is for the vet, and not for the feeding alone. */
const STARVED = 1.5

/** Whether the feeding was already changed after the score was taken. */
function isAnswered(since: number, { plan }: DecisionEvidence): boolean {
  return plan.duties.some(
    ({ does, source }) => does === 'feed' && source.from === 'resident' && source.on >= since,
  )
}

function condition(evidence: DecisionEvidence): Verdict[] {
  const { day, plan, state } = evidence
  const scored = state.health.condition
  if (!scored || day - scored.day > plan.standing.scoreDays || isAnswered(scored.day, evidence)) return []
  const { score, by, day: on } = scored
  if (score > THIN && score < FAT) return []
  const propose = conditionAdvice(score, plan)
  const earlier = state.health.scores?.findLast((one) => one.day < on)
  const before = earlier && earlier.score !== score ? earlier.score : null
  return [
    {
      severity: score <= STARVED ? 'act' : 'watch',
      what: { code: 'condition', score, before, propose },
      because: [
        { fact: 'condition', score, by, day: on },
        ...(earlier && before !== null
          ? [{ fact: 'scoredBefore', score: before, day: earlier.day } as const]
          : []),
        { rule: 'condition', step: 0.25 },
      ],
    },
  ]
}

/** What the facts propose and a person decides, at a desk rather than on the walk: the next stage, more or less
 * food, other prey, a larger box; and what is worth knowing besides. Nothing for somebody who is gone. */
export function proposalsOn(evidence: DecisionEvidence): Verdict[] {
  if (evidence.state.stay.ended) return []
  const { about } = evidence
  return [
    ...nextStage(evidence),
    ...condition(evidence),
    ...otherPrey(evidence),
    ...(about?.box ? outgrows({ ...evidence, box: about.box }) : []),
    ...(about?.box ? crowding({ ...evidence, box: about.box }) : []),
    ...grewAtMolt(evidence),
    ...longerIntervals(evidence),
    ...firstWeight(evidence),
  ]
}
