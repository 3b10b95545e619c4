import { weightFact } from '../weightTrend/weightFact.ts'
import { weightLevel } from '../weightTrend/weightLevel.ts'
import { fromSheet } from '../plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { obstaclesWhileResting } from './obstacles.ts'

/** What the sheet asks of a rest: also how it is woken. */
function restRule({ plan }: Pick<Evidence, 'plan'>): Reason[] {
  return plan.rest ? [{ rule: 'rest', ...plan.rest }, { source: fromSheet(plan) }] : []
}

/** Why a rest has to end, with the facts. */
function ends({ plan, state, weight }: Evidence, since: number): Verdict[] {
  const { rest } = plan
  if (!rest) return []
  const verdicts: Verdict[] = []
  const rule = restRule({ plan })
  const before = weightLevel(
    state.growth.weights.filter(({ day }) => day <= since),
    plan.weighing,
  )
  if (rest.stopAtLoss !== undefined && weight && before) {
    const loss = 1 - weight.grams / before.grams
    if (loss >= rest.stopAtLoss)
      verdicts.push({
        severity: 'act',
        what: { code: 'wake', why: 'loss', share: loss },
        because: [
          { fact: 'weightBefore', grams: before.grams, day: before.day },
          weightFact(weight),
          ...rule,
        ],
      })
  }
  const { droppings } = state.health
  if (rest.stopAtUrine && droppings && droppings.day >= since && droppings.kind === 'urine')
    verdicts.push({
      severity: 'act',
      what: { code: 'wake', why: 'urine', share: null },
      because: [{ fact: 'droppings', kind: droppings.kind, day: droppings.day, by: droppings.by }, ...rule],
    })
  return verdicts
}

/** What the record says of a winter rest that somebody set: that it has to end, or should not be. */
export function restVerdicts(evidence: Evidence): Verdict[] {
  const resting = evidence.holds.find(({ hold }) => hold === 'winterRest')
  if (!resting) return []
  const obstacles = obstaclesWhileResting(evidence)
  const unfit: Verdict[] =
    obstacles.length > 0
      ? [
          {
            severity: 'act',
            what: { code: 'restUnfit', obstacles },
            because: [...resting.because, ...restRule(evidence)],
          },
        ]
      : []
  return [...ends(evidence, resting.since), ...unfit]
}
