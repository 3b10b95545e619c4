import { compareCursors } from '../entries/order.ts'
import type { FeedLine, FeedingState, Leftover, Meal, Offer } from './feedingState.ts'
import { added, isMeal, nothingOffered, sumOf, wasEaten } from './offerSum.ts'

/** Caps are counted over any 7 days: all offers of so many days are kept, */
const KEPT_DAYS = 8
/** but no more than so many, */
const MOST_KEPT = 40
/** and so many however long ago: a snack after a large meal does not end its digestion. */
const LEAST_KEPT = 6
/** How long leftovers still speak of the last meal. */
const LEFTOVER_DAYS = 3
/** What is found within the hour lay there before: a new offer takes longer to be eaten. */
const JUST_GIVEN_MS = 3_600_000

export const NO_FEEDS: FeedLine = { before: nothingOffered(), offers: [] }

/** The line with its oldest offers added up. */
function shortened({ before, offers }: FeedLine): FeedLine {
  const newest = offers.at(-1)?.day ?? 0
  const recent = offers.filter(({ day }) => newest - day < KEPT_DAYS).length
  const kept = Math.min(MOST_KEPT, Math.max(LEAST_KEPT, recent))
  if (kept >= offers.length) return { before, offers }
  const old = offers.slice(0, -kept)
  return { before: added(before, old), offers: offers.slice(-kept) }
}

/** The line with one more offer, in its place among the others. */
export function withOffer(line: FeedLine, offer: Offer): FeedLine {
  return shortened({ ...line, offers: [...line.offers, offer].sort(compareCursors) })
}

/** The offer that what lies there is left of: the last one of these days, unless it was only just given and the one
 * before it is still open. */
function offerFound({ offers }: FeedLine, { day, at }: Pick<Leftover, 'day' | 'at'>): Offer | undefined {
  const lately = offers.filter(
    (offer) => offer.outcome !== 'notOffered' && day - offer.day <= LEFTOVER_DAYS && offer.at <= at,
  )
  const last = lately.at(-1)
  const before = lately.at(-2)
  const isNew = last !== undefined && Date.parse(at) - Date.parse(last.at) < JUST_GIVEN_MS
  return isNew && before && wasEaten(before) === null ? before : last
}

/** The line once somebody found what was left of an offer. */
export function withLeftover(line: FeedLine, found: Leftover): FeedLine {
  const offer = offerFound(line, found)
  if (!offer) return line
  return { ...line, offers: line.offers.map((one) => (one === offer ? { ...one, found } : one)) }
}

/** The offer that a look at the bowl speaks of, where it was left to find and nobody has looked. */
export function openOffer(line: FeedLine | undefined, found: Pick<Leftover, 'day' | 'at'>): Offer | null {
  const offer = line && offerFound(line, found)
  return offer?.outcome === 'left' ? offer : null
}

/** The last offer that was made. */
export function lastOffered(line: FeedLine | undefined): Offer | null {
  return line?.offers.findLast(({ outcome }) => outcome !== 'notOffered') ?? null
}

/** The last time somebody came to feed, also where nothing was offered. */
export function lastOffer(line: FeedLine | undefined): Offer | null {
  return line?.offers.at(-1) ?? null
}

/** The last meals of a line that are kept, oldest first. */
export function mealsKept({ offers }: FeedLine): Offer[] {
  return offers.filter(isMeal)
}

export function lastMealIn(line: FeedLine | undefined): Meal | null {
  return line ? sumOf(line).lastMeal : null
}

/** Meals over all feeding duties. */
export function mealsIn({ lines }: Pick<FeedingState, 'lines'>): number {
  return Object.values(lines).reduce((sum, line) => sum + sumOf(line).meals, 0)
}

/** The day of the last meal over all feeding duties; null before the first. */
export function lastMealDay({ lines }: Pick<FeedingState, 'lines'>): number | null {
  const days = Object.values(lines).flatMap((line) => lastMealIn(line)?.day ?? [])
  return days.length > 0 ? Math.max(...days) : null
}

/** A portion that follows its leftovers: its grams, how many of this size in a row were cleared, and the share that
 * was left of the last of them. Null where nothing was offered by weight. */
export function portionOf({
  offers,
}: FeedLine): { grams: number; cleared: number; leftFraction: number | null } | null {
  const weighed = offers.filter(({ outcome, grams }) => outcome !== 'notOffered' && grams !== undefined)
  const last = weighed.at(-1)
  if (last?.grams === undefined) return null
  let cleared = 0
  for (const { grams, found } of weighed.toReversed()) {
    // The one that still lies there does not end the row of those before it.
    if (grams !== last.grams || (found && found.left > 0)) break
    if (found) cleared += 1
  }
  return { grams: last.grams, cleared, leftFraction: last.found?.left ?? null }
}
