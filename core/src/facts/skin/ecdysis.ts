import * as z from 'zod/mini'
import { compareCursors, cursorOf } from '../entries/order.ts'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind } from '../residents/residentKind.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { oldSkinAfter } from './oldSkin.ts'
import type { Shed, SkinState } from './skinState.ts'
import { EcdysisStage, signEnded, SkinLeft } from './skinState.ts'

const SHEDS_KEPT = 12
/** A shed told again within so many days is the same one. */
const SAME_SHED_DAYS = 2

const Payload = z.strictObject({
  stage: EcdysisStage,
  how: z.optional(z.enum(['whole', 'inPieces'])),
  retained: z.optional(z.array(SkinLeft).check(z.maxLength(5))),
  limbsLost: z.optional(z.int().check(z.minimum(0), z.maximum(100))),
  skinFound: z
    .optional(z.literal(true))
    .check(z.describe('Only the skin was found: the animal itself was not seen.')),
})
type ShedFact = Happening<z.infer<typeof Payload>>

/** Days from one telling of a sign to the next, after which the skin came off in between and nobody wrote it down. */
const ANOTHER_ROUND: Readonly<Record<'shed' | 'molt', number>> = { shed: 18, molt: 75 }
const OF_A_SHED: readonly EcdysisStage[] = ['dull', 'inBlue', 'clear']

/** Whether a sign belongs to the round of shed or molt that is already open: then its clock runs on.
 * Sealing in and being soft are matters of their own. */
function continues(sign: SkinState['sign'], { day, payload: { stage } }: ShedFact): boolean {
  if (!sign) return false
  const { stage: before } = sign
  if (day - sign.day > ANOTHER_ROUND[OF_A_SHED.includes(stage) ? 'shed' : 'molt']) return false
  if (before === 'soft' || stage === 'soft') return before === stage
  return stage === 'sealedIn' ? before === 'sealedIn' : true
}

/** Said late: what it is a sign of has ended since. */
function isOver({ signEnded: ended, sign }: SkinState, fact: ShedFact): boolean {
  const cursor = cursorOf(fact)
  const newest = [ended, sign].find((mark) => mark && compareCursors(cursor, mark) < 0)
  return newest != null
}

function withSign(skin: SkinState, fact: ShedFact, stage: EcdysisStage): SkinState {
  if (isOver(skin, fact)) return skin
  const since = continues(skin.sign, fact) ? (skin.sign?.since ?? fact.day) : fact.day
  return { ...skin, sign: { ...markOf(fact), stage, since } }
}

function shedsAfter(sheds: readonly Shed[], same: Shed | undefined, fact: ShedFact): Shed[] {
  const { limbsLost = 0 } = fact.payload
  const lost = limbsLost > 0 && { limbsLost }
  if (same) return sheds.map((one) => (one === same ? { ...one, ...lost } : one))
  const sorted = [...sheds, { ...markOf(fact), ...lost }].sort((a, b) => compareCursors(a, b))
  return sorted.slice(-SHEDS_KEPT)
}

function withShed(skin: SkinState, fact: ShedFact): SkinState {
  const { stage, how, retained = [] } = fact.payload
  const { day, author: by } = fact
  const same = skin.sheds.findLast((shed) => Math.abs(day - shed.day) <= SAME_SHED_DAYS)
  const thisShed = { how, retained, again: same !== undefined, day: same?.day ?? day, by }
  const off: SkinState = {
    ...skin,
    sheds: shedsAfter(skin.sheds, same, fact),
    retained: oldSkinAfter(skin.retained, thisShed),
  }
  if (isOver(skin, fact)) return off
  const ended = signEnded(off, markOf(fact))
  if (stage !== 'molted') return ended
  // Told again: it hardens since it was told first.
  const since = same && skin.sign?.stage === 'soft' ? skin.sign.since : day
  return { ...ended, sign: { ...markOf(fact), stage: 'soft', since } }
}

/** A sign or stage of a shed or molt. */
export const ecdysis = residentKind({
  payload: Payload,
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { stage } = fact.payload
    switch (stage) {
      case 'shed':
      case 'molted':
        return { ...state, skin: withShed(state.skin, fact) }
      case 'hardened':
        return isOver(state.skin, fact) ? state : { ...state, skin: signEnded(state.skin, markOf(fact)) }
      default:
        return { ...state, skin: withSign(state.skin, fact, stage) }
    }
  },
})
