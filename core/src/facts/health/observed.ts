import * as z from 'zod/mini'
import { WRITERS } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import { markOf } from '../subjects/mark.ts'
import { text } from '../subjects/values.ts'
import type { Observation } from './healthState.ts'
import { Severity } from './severity.ts'

/** Of each severity: a graver one is never displaced by a milder, nor is a milder one crowded out by
 * grave ones of long ago. */
const KEPT_OF_EACH = 5

function kept(observations: readonly Observation[], next: Observation): Observation[] {
  const alike = observations.filter(({ severity }) => severity === next.severity)
  const displaced = alike.length < KEPT_OF_EACH ? null : alike[0]
  return [...observations.filter((one) => one !== displaced), next]
}

export const observed = residentKind({
  payload: z.strictObject({ text, severity: Severity }),
  recordedBy: WRITERS,
  fold: (state, fact) => ({
    ...state,
    health: {
      ...state.health,
      observations: kept(state.health.observations, { ...markOf(fact), ...fact.payload }),
    },
  }),
})
