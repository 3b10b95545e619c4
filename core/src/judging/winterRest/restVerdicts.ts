import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { obstaclesWhileResting } from './obstacles.ts'
import { restRule } from './restRule.ts'

/** Why a rest has to end, with the facts. */
function ends({ plan, state }: Evidence, since: number): Verdict[] {
  const { rest } = plan
  if (!rest) return []
  const verdicts: Verdict[] = []
  const rule = restRule({ plan })
  const { droppings } = state.health
  if (rest.stopAtUrine && droppings && droppings.day >= since && droppings.kind === 'urine')
    verdicts.push({
      severity: 'act',
      what: { code: 'wake' },
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
