import type { FeedLine, Meal, Offer, Portion } from './feedingState.ts'

/** Meals remembered of each duty: a snack after a large meal does not end its digestion. */
const MEALS_KEPT = 4
/** How long leftovers still speak of the last meal. */
const LEFTOVER_DAYS = 3

export const NO_FEEDS: FeedLine = { lately: [], lastOffer: null, refusals: 0, meals: 0, portion: null }

/** Whether an offer counts as a meal. */
export function isMeal({ outcome }: Pick<Offer, 'outcome'>): boolean {
  return outcome === 'taken' || outcome === 'part' || outcome === 'left'
}

function portionAfter(portion: Portion | null, grams: number | undefined): Portion | null {
  if (grams === undefined) return portion
  return { grams, cleared: portion?.grams === grams ? portion.cleared : 0, leftFraction: null }
}

function mealOf({ day, at, by, uid, grams }: Offer): Meal {
  return { day, at, by, uid, ...(grams !== undefined && { grams }) }
}

export function lineAfter(line: FeedLine, offer: Offer): FeedLine {
  if (offer.outcome === 'notOffered') return { ...line, lastOffer: offer }
  const offered = { ...line, lastOffer: offer, portion: portionAfter(line.portion, offer.grams) }
  if (!isMeal(offer)) return { ...offered, refusals: line.refusals + 1 }
  return {
    ...offered,
    lately: [...line.lately, mealOf(offer)].slice(-MEALS_KEPT),
    refusals: 0,
    meals: line.meals + 1,
  }
}

/** A meal left to find that was then found uneaten was an offer, not a meal: null when this line's last
 * offer is no such meal. */
export function withdrawn(line: FeedLine, day: number): FeedLine | null {
  const { lastOffer } = line
  if (lastOffer?.outcome !== 'left' || day - lastOffer.day > LEFTOVER_DAYS) return null
  return {
    ...line,
    lately: line.lately.filter(({ uid }) => uid !== lastOffer.uid),
    lastOffer: { ...lastOffer, outcome: 'refused' },
    refusals: line.refusals + 1,
    meals: line.meals - 1,
  }
}
