import type { Plan } from '../../plans/plan/plan.ts'
import { byGravity } from '../verdicts/byGravity.ts'
import type { Finding, FitInput } from './finding.ts'
import { fittings } from './fittings.ts'
import { lighting } from './lighting.ts'
import { space } from './space.ts'

/** Holds an enclosure against what the plan asks for: everything that does not fit, gravest first;
 * an empty list is a fit. Lengths in millimetres, temperatures in °C. What the plan does not ask for is
 * not looked at; what cannot be judged for want of a measure is said to be so. */
export function fit(input: FitInput): Finding[] {
  return [...space(input), ...lighting(input), ...fittings(input)].sort(byGravity)
}

/** What a plan asks of an enclosure, as `fit` is told it. */
export function wantedBy({
  housing,
  light,
  targets,
  coolLoving,
  sources,
}: Plan): Pick<FitInput, 'housing' | 'light' | 'targets' | 'coolLoving' | 'sources'> {
  return { housing, light, targets, coolLoving, sources }
}

/** What has to be mended: what is only worth knowing does not stand in the way. */
export function toMend(findings: readonly Finding[]): Finding[] {
  return findings.filter(({ severity }) => severity !== 'info')
}

/** Whether an animal can live there as it stands. */
export function isFit(findings: readonly Finding[]): boolean {
  return toMend(findings).length === 0
}
