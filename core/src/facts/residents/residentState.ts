import * as z from 'zod/mini'
import { CountState, nothingCounted } from '../count/countState.ts'
import { FeedingState, nothingFed } from '../feeding/feedingState.ts'
import { GrowthState, nothingMeasured } from '../growth/growthState.ts'
import { Note } from '../handover/notes.ts'
import { HealthState, nothingObserved } from '../health/healthState.ts'
import { HoldsState, nothingHeld } from '../holds/holdsState.ts'
import { nothingSeen, LookingState } from '../looking/lookingState.ts'
import { nothingShed, SkinState } from '../skin/skinState.ts'
import { folded, nothingFolded } from '../subjects/folded.ts'
import { Mark } from '../subjects/mark.ts'
import { IdentityState } from './identity.ts'
import { Register } from './register.ts'
import { nowhere, StayState } from './stayState.ts'

/** The fold of a resident's entries. */
export const ResidentState = z.strictObject({
  ...folded,
  register: z.nullable(Register),
  identity: z.optional(IdentityState),
  stay: StayState,
  /** Last done, by duty. */
  done: z.record(z.string(), Mark),
  feeding: FeedingState,
  skin: SkinState,
  growth: GrowthState,
  looking: LookingState,
  holds: HoldsState,
  health: HealthState,
  count: CountState,
  /** For the next shift, oldest first; each stands until somebody answers it. */
  notes: z.array(Note),
})
export type ResidentState = z.infer<typeof ResidentState>

export function emptyResident(): ResidentState {
  return {
    ...nothingFolded(),
    register: null,
    stay: nowhere(),
    done: {},
    feeding: nothingFed(),
    skin: nothingShed(),
    growth: nothingMeasured(),
    looking: nothingSeen(),
    holds: nothingHeld(),
    health: nothingObserved(),
    count: nothingCounted(),
    notes: [],
  }
}
