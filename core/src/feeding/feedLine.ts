import type { FeedLine, Meal, Offer, Portion } from './feedingState.ts'

/** Meals remembered of each duty: a snack after a large meal does not end its digestion. */
const MEALS_KEPT = 4
/** How long leftovers still speak of the last meal. */
export const LEFTOVER_DAYS = 3

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

type Row = Pick<FeedLine, 'refusals' | 'refusedFrom'>

function rowOf({ refusals, refusedFrom }: Row): Row {
  return { refusals, ...(refusedFrom !== undefined && { refusedFrom }) }
}

/** What was left to find and not looked at for so many days was eaten, as far as anybody knows. */
const UNDECIDED_DAYS = 1

/** Refusals in a row as they stand on a day: a meal left in place last night neither ends nor lengthens the row. */
export function refusalsOn({ lastOffer, undecided, ...line }: FeedLine, day: number): Row {
  if (undecided && lastOffer && day - lastOffer.day <= UNDECIDED_DAYS) return undecided
  return rowOf(line)
}

/** The line once what was left is known to be eaten. */
export function decided({ undecided: _eaten, ...line }: FeedLine): FeedLine {
  return line
}

export function lineAfter(line: FeedLine, offer: Offer): FeedLine {
  if (offer.outcome === 'notOffered') return { ...line, lastOffer: offer }
  const { undecided: _known, refusedFrom, ...before } = line
  const offered = { ...before, lastOffer: offer, portion: portionAfter(line.portion, offer.grams) }
  if (!isMeal(offer))
    return { ...offered, refusals: line.refusals + 1, refusedFrom: refusedFrom ?? offer.day }
  return {
    ...offered,
    lately: [...line.lately, mealOf(offer)].slice(-MEALS_KEPT),
    refusals: 0,
    meals: line.meals + 1,
    ...(offer.outcome === 'left' && { undecided: rowOf(line) }),
  }
}

/** A meal left to find that was then found uneaten was an offer, not a meal: null when this line's last
 * offer is no such meal. */
export function withdrawn(line: FeedLine, day: number): FeedLine | null {
  const { lastOffer, undecided, ...before } = line
  if (lastOffer?.outcome !== 'left' || day - lastOffer.day > LEFTOVER_DAYS) return null
  return {
    ...before,
    lately: line.lately.filter(({ uid }) => uid !== lastOffer.uid),
    lastOffer: { ...lastOffer, outcome: 'refused' },
    refusals: (undecided?.refusals ?? 0) + 1,
    refusedFrom: undecided?.refusedFrom ?? lastOffer.day,
    meals: line.meals - 1,
  }
}
