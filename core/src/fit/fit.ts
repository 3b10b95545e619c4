import type { Finding, FitInput } from './finding.ts'
import { fittings } from './fittings.ts'
import { lighting } from './lighting.ts'
import { space } from './space.ts'

const RANK = { urgent: 0, act: 1, watch: 2, info: 3 } as const

/** Holds an enclosure against what the plan asks for: everything that does not fit, gravest first;
 * an empty list is a fit. Lengths in millimetres, temperatures in °C. What the plan does not ask for is
 * not looked at; what cannot be judged for want of a measure is said to be so. */
export function fit(input: FitInput): Finding[] {
  return [...space(input), ...lighting(input), ...fittings(input)].sort(
    (a, b) => RANK[a.severity] - RANK[b.severity],
  )
}
