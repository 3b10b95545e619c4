import type { Fact, Payload } from '../entries/entry.ts'
import { markOf } from './markOf.ts'
import type { FeedLine, ItemHistory, Offer, Portion, ResidentState } from './residentState.ts'

/** Days of offers kept per food: caps are counted over any 7 days. */
const CAP_WINDOW_DAYS = 7
/** From this share left over, a meal left in place was not eaten. */
const UNEATEN_FRACTION = 0.9
/** How long leftovers still speak of the last meal. */
const LEFTOVER_DAYS = 3

const NO_FEEDS: FeedLine = {
  lastMeal: null,
  mealBefore: null,
  lastOffer: null,
  refusals: 0,
  meals: 0,
  portion: null,
}

function offerOf(fact: Fact, payload: Payload<'fed'>): Offer {
  const { item, size, count, grams, outcome, why } = payload
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

function portionAfter(portion: Portion | null, grams: number | undefined): Portion | null {
  if (grams === undefined) return portion
  return { grams, cleared: portion?.grams === grams ? portion.cleared : 0, leftFraction: null }
}

function itemAfter(history: ItemHistory | undefined, day: number, outcome: Offer['outcome']): ItemHistory {
  const { days, taken, refusedInRow } = history ?? { days: [], taken: 0, refusedInRow: 0 }
  return {
    days: [...days.filter((offered) => offered > day - CAP_WINDOW_DAYS).slice(-CAP_WINDOW_DAYS), day],
    taken: outcome === 'taken' || outcome === 'part' ? taken + 1 : taken,
    refusedInRow: outcome === 'refused' ? refusedInRow + 1 : outcome === 'left' ? refusedInRow : 0,
  }
}

function lineAfter(line: FeedLine, offer: Offer): FeedLine {
  const offered = { ...line, lastOffer: offer, portion: portionAfter(line.portion, offer.grams) }
  switch (offer.outcome) {
    case 'notOffered':
      return { ...line, lastOffer: offer }
    case 'refused':
      return { ...offered, refusals: line.refusals + 1 }
    case 'taken':
    case 'part':
    case 'left': {
      const { day, at, by, uid } = offer
      return {
        ...offered,
        lastMeal: { day, at, by, uid },
        mealBefore: line.lastMeal,
        refusals: 0,
        meals: line.meals + 1,
      }
    }
  }
}

/** An offer: advances the feeding duty when eaten, the food's history, the supplements. */
export function foldFed(state: ResidentState, fact: Fact, payload: Payload<'fed'>): ResidentState {
  const duty = payload.duty ?? 'feed'
  const offer = offerOf(fact, payload)
  const line = lineAfter(state.feeds[duty] ?? NO_FEEDS, offer)
  const mark = markOf(fact)
  const next = {
    ...state,
    feeds: { ...state.feeds, [duty]: line },
    done: { ...state.done, [duty]: mark },
  }
  if (offer.outcome === 'notOffered') return next
  const eaten = offer.outcome !== 'refused'
  const meals = state.meals + (eaten ? 1 : 0)
  const bowl = state.bowls[duty]
  const given = eaten ? (payload.supplements ?? []) : []
  return {
    ...next,
    meals,
    bowls: bowl && eaten ? { ...state.bowls, [duty]: { ...bowl, refilled: true } } : state.bowls,
    fedToday: [...state.fedToday.filter((fed) => fed.day === fact.day), { ...mark, duty }],
    items: { ...state.items, [offer.item]: itemAfter(state.items[offer.item], fact.day, offer.outcome) },
    supplements: {
      ...state.supplements,
      ...Object.fromEntries(given.map((name) => [name, { day: fact.day, meals }])),
    },
  }
}

/** A meal left to find that was then found uneaten was an offer, not a meal. */
function withdrawMeal(line: FeedLine, day: number): FeedLine {
  const { lastOffer } = line
  if (lastOffer?.outcome !== 'left' || day - lastOffer.day > LEFTOVER_DAYS) return line
  return {
    ...line,
    lastMeal: line.mealBefore,
    lastOffer: { ...lastOffer, outcome: 'refused' },
    refusals: line.refusals + 1,
    meals: line.meals - 1,
  }
}

/** The bowl or the feeding place as it was found. */
export function foldBowl(state: ResidentState, fact: Fact, payload: Payload<'bowl'>): ResidentState {
  const duty = payload.duty ?? 'feed'
  const refilled = payload.refilled ?? false
  const left = payload.found === 'empty' ? 0 : (payload.leftFraction ?? (payload.found === 'full' ? 1 : 0.5))
  const line = state.feeds[duty] ?? NO_FEEDS
  const judged = left >= UNEATEN_FRACTION ? withdrawMeal(line, fact.day) : line
  const portion = judged.portion && {
    ...judged.portion,
    leftFraction: left,
    cleared: left === 0 ? judged.portion.cleared + 1 : 0,
  }
  return {
    ...state,
    bowls: { ...state.bowls, [duty]: { day: fact.day, found: payload.found, refilled } },
    done: { ...state.done, [`${duty}:bowl`]: markOf(fact) },
    feeds: { ...state.feeds, [duty]: { ...judged, portion } },
  }
}
