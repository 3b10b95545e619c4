import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { aliveBy, residentKind, seenBy } from '../residents/residentKind.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { SkinState } from './skinState.ts'
import { EcdysisStage, SkinLeft } from './skinState.ts'

const SHEDS_KEPT = 12

const Payload = z.strictObject({
  stage: EcdysisStage,
  how: z.optional(z.enum(['whole', 'inPieces'])),
  retained: z.optional(z.array(SkinLeft).check(z.maxLength(5))),
  limbsLost: z.optional(z.int().check(z.minimum(0), z.maximum(100))),
})

/** Whether a sign belongs to the round of shed or molt that is already open: then its clock runs on.
 * Sealing in and being soft are matters of their own. */
function continues(before: EcdysisStage | undefined, stage: EcdysisStage): boolean {
  if (before === undefined) return false
  if (before === 'soft' || stage === 'soft') return before === stage
  return stage === 'sealedIn' ? before === 'sealedIn' : true
}

function skinAfter(skin: SkinState, fact: Happening<z.infer<typeof Payload>>): SkinState {
  const { stage, retained = [], limbsLost } = fact.payload
  const open = { ...markOf(fact), stage, since: fact.day }
  switch (stage) {
    case 'dull':
    case 'inBlue':
    case 'clear':
    case 'premolt':
    case 'sealedIn':
    case 'soft': {
      const since = continues(skin.sign?.stage, stage) ? (skin.sign?.since ?? fact.day) : fact.day
      return { ...skin, sign: { ...open, since } }
    }
    case 'hardened':
      return { ...skin, sign: null }
    case 'shed':
    case 'molted':
      return {
        sign: stage === 'molted' ? { ...open, stage: 'soft' } : null,
        sheds: [...skin.sheds, fact.day].slice(-SHEDS_KEPT),
        retained,
        ...((limbsLost ?? 0) > 0 && { limbsLost: { count: limbsLost ?? 0, day: fact.day } }),
      }
  }
}

/** A sign or stage of a shed or molt. */
export const ecdysis = residentKind({
  payload: Payload,
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact): ResidentState {
    // Sealing in is not a sighting of the animal: its burrow was found closed.
    const met = fact.payload.stage === 'sealedIn' ? aliveBy(state, fact) : seenBy(state, fact)
    return { ...met, skin: skinAfter(state.skin, fact) }
  },
})
