import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import type { ResidentState } from '../residents/residentState.ts'
import { holdOfSign } from '../skin/holdOfSign.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { own } from '../subjects/own.ts'
import { confirmed, duty, text, Uid, word } from '../subjects/values.ts'
import type { HoldKind } from '../holds/holdKind.ts'
import { standsOn } from '../holds/holdsState.ts'
import { NO_FEEDS, openOffer, withLeftover, withOffer } from './feedLine.ts'
import type { FeedLine, Offer } from './feedingState.ts'
import { FeedOutcome } from './feedingState.ts'
import { isMeal } from './offerSum.ts'

const Payload = z.strictObject({
  duty,
  item: word(60),
  size: z.optional(word(40)),
  count: z.optional(z.number().check(z.positive(), z.maximum(100_000))),
  grams: z.optional(z.number().check(z.positive(), z.maximum(100_000))),
  supplements: z.optional(z.array(word(40)).check(z.maxLength(6))),
  outcome: FeedOutcome,
  why: z.optional(text),
  inSight: z
    .optional(z.literal(true))
    .check(z.describe('It was seen while it was offered, whether or not it took anything.')),
  uneaten: z
    .optional(z.literal(true))
    .check(z.describe('What was offered before still lay there untouched.')),
  lot: z.optional(Uid).check(z.describe('The batch it was taken from.')),
  confirmed,
})
type Fed = Happening<z.infer<typeof Payload>>

/** What keeps an animal from eating whatever its appetite: refusals then say nothing of its habit. */
const NOT_EATING: readonly HoldKind[] = [
  'winterRest',
  'fasting',
  'gravid',
  'incubating',
  'settling',
  'vetOrder',
  'inBlue',
  'premolt',
  'sealedIn',
  'soft',
]

function isKeptFromEating({ skin, holds }: Pick<ResidentState, 'skin' | 'holds'>, day: number): boolean {
  return (
    (skin.sign !== null && holdOfSign(skin.sign.stage) !== null) ||
    holds.said.some((said) => NOT_EATING.includes(said.hold) && standsOn(said, day))
  )
}

function offerOf(state: ResidentState, fact: Fed): Offer {
  const { item, size, count, grams, supplements, outcome, why } = fact.payload
  return {
    ...markOf(fact),
    item,
    outcome,
    ...(size !== undefined && { size }),
    ...(count !== undefined && { count }),
    ...(grams !== undefined && { grams }),
    ...(supplements?.length && { supplements }),
    ...(why !== undefined && { why }),
    ...(isKeptFromEating(state, fact.day) && { apart: true as const }),
  }
}

/** Food was offered, or somebody came to offer it and did not. */
export const fed = residentKind({
  payload: Payload,
  recordedBy: HANDS,
  touches: ({ lot, count, grams, outcome }) => {
    if (lot === undefined || outcome === 'notOffered') return []
    const eaten = { family: 'lot', subject: lot, how: outcome === 'refused' ? 'offered' : 'eaten' }
    const amounts = [
      ...(count === undefined ? [] : [{ value: count, unit: 'pieces' as const }]),
      ...(grams === undefined ? [] : [{ value: grams, unit: 'g' as const }]),
    ]
    return amounts.length === 0 ? [eaten] : amounts.map((amount) => ({ ...eaten, amount }))
  },
  fold(state, fact) {
    // The dead and the gone eat nothing here.
    if (state.stay.ended) return state
    const { duty: answered = 'feed', uneaten } = fact.payload
    const before = own(state.feeding.lines, answered) ?? NO_FEEDS
    const found = uneaten && openOffer(before, { day: fact.day, at: fact.occurredAt })
    const looked: FeedLine = found ? withLeftover(before, { ...markOf(fact), left: 1 }) : before
    const offer = offerOf(state, fact)
    const bowl = own(state.feeding.bowls, answered)
    const bowls =
      bowl && isMeal(offer)
        ? { ...state.feeding.bowls, [answered]: { ...bowl, refilled: true } }
        : state.feeding.bowls
    const lines = { ...state.feeding.lines, [answered]: withOffer(looked, offer) }
    return { ...withDone(state, answered, fact), feeding: { lines, bowls } }
  },
})
