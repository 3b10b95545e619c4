import type { FeedLine, ItemHistory, Offer, OfferSum, RefusalRow } from './feedingState.ts'

/** From this share left over, what was left to find was not eaten. */
const UNEATEN_FRACTION = 0.9
/** What an offer of some months ago still counts: of fifty offers back, a third. */
const FADES = 0.98
/** What was left to find and not looked at for so many days was eaten, as far as anybody knows. */
const UNDECIDED_DAYS = 1

export function nothingOffered(): OfferSum {
  return {
    meals: 0,
    lastMeal: null,
    row: null,
    habit: { offers: 0, taken: 0 },
    items: {},
    supplements: {},
  }
}

/** Whether an offer was eaten: true where it was seen or found eaten, false where it was refused or found untouched,
 * null where it was left to find and nobody has looked. Undefined of what was not offered. */
export function wasEaten({ outcome, found }: Pick<Offer, 'outcome' | 'found'>): boolean | null | undefined {
  switch (outcome) {
    case 'taken':
    case 'part':
      return true
    case 'refused':
      return false
    case 'left':
      return found ? found.left < UNEATEN_FRACTION : null
    case 'notOffered':
      return undefined
  }
}

/** Whether an offer counts as a meal: what was left to find does until it is found untouched. */
export function isMeal(offer: Pick<Offer, 'outcome' | 'found'>): boolean {
  return wasEaten(offer) ?? offer.outcome === 'left'
}

/** Whether it was left last night, and nobody has looked yet. */
function isUndecided(offer: Offer, day: number): boolean {
  return wasEaten(offer) === null && day - offer.day <= UNDECIDED_DAYS
}

function itemAfter(history: ItemHistory | undefined, offer: Offer): ItemHistory {
  const eaten = wasEaten(offer)
  const taken = history?.taken ?? 0
  const refusedInRow = history?.refusedInRow ?? 0
  return {
    taken: eaten ? taken + 1 : taken,
    refusedInRow: eaten === null ? refusedInRow : eaten ? 0 : refusedInRow + 1,
    lastDay: offer.day,
  }
}

function rowAfter(row: RefusalRow | null, offer: Offer, habit: OfferSum['habit']): RefusalRow | null {
  if (isMeal(offer)) return null
  return row ? { ...row, refusals: row.refusals + 1 } : { refusals: 1, from: offer.day, before: habit }
}

function habitAfter(habit: OfferSum['habit'], offer: Offer): OfferSum['habit'] {
  const eaten = wasEaten(offer)
  if (eaten === null || (!eaten && offer.apart)) return habit
  return { offers: habit.offers * FADES + 1, taken: habit.taken * FADES + (eaten ? 1 : 0) }
}

/** What a sum and the offers after it add up to. */
export function added(before: OfferSum, offers: readonly Offer[]): OfferSum {
  if (offers.length === 0) return before
  // Names come from outside: a map takes any.
  const items = new Map(Object.entries(before.items))
  const supplements = new Map(Object.entries(before.supplements))
  let { meals, lastMeal, row, habit } = before
  for (const offer of offers) {
    if (offer.outcome === 'notOffered') continue
    items.set(offer.item, itemAfter(items.get(offer.item), offer))
    row = rowAfter(row, offer, habit)
    habit = habitAfter(habit, offer)
    if (!isMeal(offer)) continue
    const { day, at, by, uid, grams } = offer
    meals += 1
    lastMeal = { day, at, by, uid, ...(grams !== undefined && { grams }) }
    for (const name of offer.supplements ?? []) supplements.set(name, { day, at, meals })
  }
  return {
    meals,
    lastMeal,
    row,
    habit,
    items: Object.fromEntries(items),
    supplements: Object.fromEntries(supplements),
  }
}

const sums = new WeakMap<FeedLine, OfferSum>()

/** What all offers of a line add up to. */
export function sumOf(line: FeedLine): OfferSum {
  const known = sums.get(line)
  if (known) return known
  const sum = added(line.before, line.offers)
  sums.set(line, sum)
  return sum
}

/** Refusals in a row as they stand on a day: a meal left in place last night neither ends nor lengthens the row.
 * Null where the last offer was eaten. */
export function rowOn(line: FeedLine, day: number): RefusalRow | null {
  const last = line.offers.findLast(({ outcome }) => outcome !== 'notOffered')
  if (!last || !isUndecided(last, day)) return sumOf(line).row
  return added(
    line.before,
    line.offers.filter((offer) => !isUndecided(offer, day)),
  ).row
}
