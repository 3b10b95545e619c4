import { mealsKept } from '../../facts/feeding/feedLine.ts'
import { byGravity } from './byGravity.ts'
import type { Evidence } from './evidence.ts'
import { permitVerdicts } from '../residents/permitVerdicts.ts'
import { readingVerdicts } from '../readings/readingVerdicts.ts'
import { growing } from '../growth/growthVerdicts.ts'
import { refusals } from '../feeding/refusalVerdicts.ts'
import { holdOfSign } from '../../facts/skin/holdOfSign.ts'
import { ecdysisAhead, limbsLost, signTooLong, skinLeft } from '../skin/skinVerdicts.ts'
import { unseen } from '../looking/unseenVerdicts.ts'
import { weightPath } from '../weightTrend/fall.ts'
import { losing, suspectWeights } from '../weightTrend/weightVerdicts.ts'
import type { Explanation, Explanations } from './explainedBy.ts'
import { explanationsOf } from './explanation.ts'
import { observationsStanding } from '../health/observationsStanding.ts'
import { signsShown } from '../health/signsShown.ts'
import { restVerdicts } from '../winterRest/restVerdicts.ts'
import { leftOpen } from './leftOpen.ts'
import type { Verdict } from './verdict.ts'

/** Holds that should have ended, apart from those that a sign of the skin brings about: those are told as signs. */
function overdueHolds({ day, holds, state }: Evidence): Verdict[] {
  const { sign } = state.skin
  const ofSign = sign && holdOfSign(sign.stage)
  return holds
    .filter(({ overdue, hold }) => overdue && hold !== ofSign)
    .map(({ hold, since, expectedEnd, because }) => ({
      severity: 'watch',
      since,
      what: { code: 'holdOverdue', hold, daysOver: expectedEnd === null ? null : day - expectedEnd },
      because,
    }))
}

function fedTwice({ day, state }: Evidence): Verdict[] {
  return Object.entries(state.feeding.lines).flatMap(([duty, line]): Verdict[] => {
    const feeds = mealsKept(line).filter((meal) => meal.day === day)
    if (feeds.length < 2) return []
    return [
      {
        severity: 'watch',
        what: { code: 'fedTwice', duty, by: feeds.map(({ by }) => by) },
        because: feeds.map(({ by, at }) => ({ fact: 'fedBy', by, at, duty })),
      },
    ]
  })
}

function observations(evidence: Evidence): Verdict[] {
  return observationsStanding(evidence).map(({ severity, text, uid, by, day: on }) => ({
    severity,
    what: { code: 'observed', text, uid },
    because: [{ fact: 'observed', by, day: on, text }],
  }))
}

/** Of one animal: losing, gaining or standing still are one matter, and said in one sentence. */
function weight(evidence: Evidence, explanations: Explanations): Verdict[] {
  const { plan, course } = evidence
  if (plan.lives === 'colony') return []
  const path = weightPath(course, plan.weighing)
  const ofWeight = losing(evidence, path, explanations) ?? growing(evidence, path, explanations)
  return [...(ofWeight ? [ofWeight] : []), ...suspectWeights(evidence)]
}

/** What the record says is wrong or worth knowing today, gravest first. */
export function verdictsOn(evidence: Evidence): Verdict[] {
  let known: readonly Explanation[] | null = null
  const explanations = () => (known ??= explanationsOf(evidence))
  const verdicts = [
    ...overdueHolds(evidence),
    ...weight(evidence, explanations),
    ...refusals(evidence, explanations),
    ...fedTwice(evidence),
    ...unseen(evidence, explanations),
    ...signTooLong(evidence),
    ...ecdysisAhead(evidence),
    ...skinLeft(evidence),
    ...limbsLost(evidence),
    ...readingVerdicts(evidence),
    ...signsShown(evidence),
    ...restVerdicts(evidence),
    ...observations(evidence),
    ...leftOpen(evidence),
    ...permitVerdicts(evidence),
  ]
  return verdicts.sort(byGravity)
}
