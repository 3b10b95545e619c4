import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { goneBy, residentKind, seenBy, withDone } from '../residents/residentKind.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { confirmed, duty, text, Uid, word } from '../subjects/values.ts'
import { habitAfter } from './habit.ts'
import { isMeal, lineAfter, NO_FEEDS } from './feedLine.ts'
import type { FeedingState, ItemHistory, Offer } from './feedingState.ts'
import { FeedOutcome, mealsIn } from './feedingState.ts'
import type { ResidentState } from '../residents/residentState.ts'
import { own } from '../subjects/own.ts'

/** Days of offers kept per food: caps are counted over any 7 days. */
const CAP_WINDOW_DAYS = 7

const Payload = z.strictObject({
  duty,
  item: word(60),
  size: z.optional(word(40)),
  count: z.optional(z.number().check(z.positive(), z.maximum(100_000))),
  grams: z.optional(z.number().check(z.positive(), z.maximum(100_000))),
  supplements: z.optional(z.array(word(40)).check(z.maxLength(6))),
  outcome: FeedOutcome,
  why: z.optional(text),
  lot: z.optional(Uid).check(z.describe('The batch it was taken from.')),
  confirmed,
})
type Fed = Happening<z.infer<typeof Payload>>

function offerOf(fact: Fed): Offer {
  const { item, size, count, grams, outcome, why } = fact.payload
  return {
    ...markOf(fact),
    item,
    outcome,
    ...(size !== undefined && { size }),
    ...(count !== undefined && { count }),
    ...(grams !== undefined && { grams }),
    ...(why !== undefined && { why }),
  }
}

function itemAfter(history: ItemHistory | undefined, day: number, outcome: Offer['outcome']): ItemHistory {
  const { days, taken, refusedInRow } = history ?? { days: [], taken: 0, refusedInRow: 0 }
  return {
    days: [...days.filter((offered) => offered > day - CAP_WINDOW_DAYS).slice(-CAP_WINDOW_DAYS), day],
    taken: outcome === 'taken' || outcome === 'part' ? taken + 1 : taken,
    refusedInRow: outcome === 'refused' ? refusedInRow + 1 : outcome === 'left' ? refusedInRow : 0,
  }
}

function feedingAfter(feeding: FeedingState, fact: Fed, answered: string): FeedingState {
  const offer = offerOf(fact)
  const lines = { ...feeding.lines, [answered]: lineAfter(own(feeding.lines, answered) ?? NO_FEEDS, offer) }
  if (offer.outcome === 'notOffered') return { ...feeding, lines }
  const items = {
    ...feeding.items,
    [offer.item]: itemAfter(own(feeding.items, offer.item), fact.day, offer.outcome),
  }
  if (!isMeal(offer)) return { ...feeding, lines, items }
  const bowl = own(feeding.bowls, answered)
  const given = { day: fact.day, meals: mealsIn({ lines }) }
  const supplements = (fact.payload.supplements ?? []).map((name) => [name, given] as const)
  return {
    ...feeding,
    lines,
    items,
    today: [...feeding.today.filter(({ day }) => day === fact.day), { ...markOf(fact), duty: answered }],
    supplements: { ...feeding.supplements, ...Object.fromEntries(supplements) },
    bowls: bowl ? { ...feeding.bowls, [answered]: { ...bowl, refilled: true } } : feeding.bowls,
  }
}

/** Whoever eats in view is seen; what is refused by somebody nobody sees may have been left untouched. */
function met(state: ResidentState, fact: Fed): ResidentState {
  const { outcome } = fact.payload
  if (outcome === 'taken' || outcome === 'part') return seenBy(state, fact)
  return outcome === 'refused' ? goneBy(state, 'untouched') : state
}

/** Food was offered. Eaten in view, the animal was seen as well. */
export const fed = residentKind({
  payload: Payload,
  recordedBy: HANDS,
  touches: ({ lot, count, grams }) => {
    const amount = count ?? grams
    return lot === undefined
      ? []
      : [{ family: 'lot', subject: lot, how: 'eaten', ...(amount !== undefined && { amount }) }]
  },
  fold(state, fact) {
    const { duty: answered = 'feed', outcome } = fact.payload
    const done = withDone(met(state, fact), answered, fact)
    const habit =
      outcome === 'left' || outcome === 'notOffered' ? undefined : habitAfter(state, isMeal({ outcome }))
    return { ...done, feeding: { ...feedingAfter(state.feeding, fact, answered), ...(habit && { habit }) } }
  },
})
