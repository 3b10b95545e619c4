import { conditionAdvice } from '../condition/conditionAdvice.ts'
import { stageReached } from '../stages/stageReached.ts'
import type { Verdict } from './verdict.ts'
import type { Facts } from './verdictsOn.ts'

/** A score older than this says nothing about today. */
const SCORE_DAYS = 42

function nextStage({ day, plan, state, weight, about }: Facts): Verdict[] {
  const reached = plan.next && stageReached(day, plan, state, weight, about)
  if (!plan.next || !reached) return []
  const { stage, name } = plan.next
  return [
    {
      severity: 'info',
      what: { code: 'stageReached', stage, name },
      because: [
        { fact: 'reached', ...reached },
        { source: { from: 'sheet', sheet: plan.sheet, stage: plan.stage } },
      ],
    },
  ]
}

/** Whether the feeding was already changed after the score was taken. */
function isAnswered(since: number, { plan }: Facts): boolean {
  return plan.duties.some(
    ({ does, source }) => does === 'feed' && source.from === 'resident' && source.on >= since,
  )
}

function condition(facts: Facts): Verdict[] {
  const { day, plan, state } = facts
  const scored = state.condition
  if (!scored || day - scored.day > SCORE_DAYS || isAnswered(scored.day, facts)) return []
  const propose = conditionAdvice(scored.score, plan)
  if (propose.length === 0) return []
  const { score, by, day: on } = scored
  return [
    {
      severity: 'watch',
      what: { code: 'condition', score, propose },
      because: [
        { fact: 'condition', score, by, day: on },
        { rule: 'condition', step: 0.25 },
      ],
    },
  ]
}

/** What the facts propose and a person decides: the next stage, more or less food. */
export function proposals(facts: Facts): Verdict[] {
  return [...nextStage(facts), ...condition(facts)]
}
