import { fromSheet } from '../../plans/plan/source.ts'
import type { Hold } from '../holds/holdsOn.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { limbsLostAt, partsLeft } from '../../facts/skin/skinState.ts'
import { holdOfSign } from '../../facts/skin/holdOfSign.ts'
import { isStillOpen } from './isStillOpen.ts'
import { forecastReason, nextEcdysis, OVERDUE, silenceTells } from './nextEcdysis.ts'
import type { EcdysisStage } from '../../facts/skin/skinState.ts'

/** Days after which an open sign is unusual where the sheet says nothing of it. */
const USUAL_AT_MOST: Readonly<Partial<Record<EcdysisStage, number>>> = {
  dull: 21,
  inBlue: 21,
  clear: 14,
  premolt: 90,
  sealedIn: 180,
  soft: 30,
}

/** An open sign of the skin that lasts longer than such signs do. */
export function signTooLong(evidence: Evidence): Verdict[] {
  const { day, plan, state, holds } = evidence
  const { sign } = state.skin
  if (!sign) return []
  const { stage, since, by, day: seen } = sign
  const kind = holdOfSign(stage)
  const rule = plan.holds.find(({ hold }) => hold === kind)
  const usual = rule?.worryAfter ?? rule?.days ?? USUAL_AT_MOST[stage]
  if (usual === undefined || day - since < usual || !isStillOpen(sign, evidence, rule?.days ?? usual))
    return []
  const held: Hold | undefined = holds.find(({ hold }) => hold === kind)
  return [
    {
      severity: 'watch',
      since,
      what: { code: 'signTooLong', stage, days: day - since, daysOver: day - since - usual },
      because: held?.because ?? [{ fact: 'sign', stage, day: seen, by }, { source: fromSheet(plan) }],
    },
  ]
}

/** A shed or molt that is unusually late, against this one's own intervals and its stage; or one that is likely
 * within a week. */
export function ecdysisAhead(evidence: Evidence): Verdict[] {
  if (evidence.state.skin.sign) return []
  const next = nextEcdysis(evidence)
  if (!next) return []
  const { what, last, elapsed, chances } = next
  const source = { source: fromSheet(evidence.plan) }
  if (chances.surprise >= OVERDUE && silenceTells(next, evidence.plan))
    return [
      {
        severity: 'watch',
        since: last,
        what: { code: 'ecdysisOverdue', what, days: elapsed, shorter: chances.surprise },
        because: [{ fact: 'event', event: 'shed', day: last }, forecastReason(next), source],
      },
    ]
  if (chances.surprise >= OVERDUE || chances.pWithinHorizon < 0.5) return []
  return [
    {
      severity: 'info',
      since: last,
      what: { code: 'ecdysisExpected', what, chance: chances.pWithinHorizon },
      because: [forecastReason(next), source],
    },
  ]
}

/** Old skin that is still on. */
export function skinLeft({ day, plan, state }: Evidence): Verdict[] {
  const { retained } = state.skin
  const { retainedToAct } = plan.standing
  if (retained.length === 0) return []
  // Followed since the shed that left it first, whatever came off since.
  const shedOn = Math.min(...retained.map(({ since }) => since))
  const layers = Math.max(...retained.map((old) => old.layers))
  const old = day - shedOn >= retainedToAct || layers > 1
  return [
    {
      severity: old ? 'act' : 'watch',
      since: shedOn,
      what: { code: 'retainedSkin', parts: partsLeft(state.skin), layers, day: shedOn },
      because: [
        { fact: 'event', event: 'shed', day: shedOn },
        { rule: 'retainedSkin', days: retainedToAct },
        { source: fromSheet(plan) },
      ],
    },
  ]
}

/** Days in which lost limbs are spoken of. */
const LIMB_DAYS = 21

/** Limbs that the last molt cost. */
export function limbsLost({ day, plan, state }: Evidence): Verdict[] {
  const lost = limbsLostAt(state.skin)
  if (!lost || day - lost.day > LIMB_DAYS) return []
  return [
    {
      severity: 'watch',
      since: lost.day,
      what: { code: 'limbsLost', count: lost.count, day: lost.day },
      because: [{ fact: 'event', event: 'shed', day: lost.day }, { source: fromSheet(plan) }],
    },
  ]
}
