import { renewalDays } from '../renewal/renewalForecast.ts'
import type { Sign } from '../renewal/signShift.ts'
import { withSign } from '../renewal/signShift.ts'
import type { SignEvidence } from '../../plans/sheet/lifeHistory.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import { nextEcdysis, signDays } from './nextEcdysis.ts'
import type { EcdysisStage } from '../../facts/skin/skinState.ts'

const SIGN_OF: Readonly<Partial<Record<EcdysisStage, keyof SignEvidence>>> = {
  dull: 'dull',
  inBlue: 'inBlue',
  clear: 'inBlue',
  premolt: 'premolt',
  sealedIn: 'sealedIn',
}

/** The open sign as it shifts the forecast: how much likelier it makes it that the skin comes off within the days
 * such a sign lasts. Null without one, or with one that speaks of what is over. */
function openSign({ plan, state }: Pick<Evidence, 'plan' | 'state'>, last: Day): Sign | null {
  const { sign } = state.skin
  const named = sign && SIGN_OF[sign.stage]
  if (!sign || !named || !plan.ecdysis) return null
  return { until: sign.since - last + signDays(plan), ratio: plan.ecdysis.signs[named] }
}

/** The days within which eight of ten such sheds or molts come, an open sign taken into account. Null where none
 * is expected, or while the skin hardens. */
export function ecdysisWindow(
  evidence: Pick<Evidence, 'day' | 'plan' | 'state' | 'holds'>,
): { from: Day; to: Day } | null {
  const next = evidence.state.skin.sign?.stage === 'soft' ? null : nextEcdysis(evidence)
  if (!next) return null
  const { expected, elapsed, last } = next
  const sign = openSign(evidence, last)
  const { lo80, hi80 } = sign ? withSign(expected, elapsed, sign, 0) : renewalDays(expected, elapsed)
  const rested = evidence.day - last - elapsed
  return lo80 === null || hi80 === null ? null : { from: last + lo80 + rested, to: last + hi80 + rested }
}
