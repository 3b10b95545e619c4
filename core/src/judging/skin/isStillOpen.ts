import { rowOn, wasEaten } from '../../facts/feeding/offerSum.ts'
import type { Offer } from '../../facts/feeding/feedingState.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { SkinState } from '../../facts/skin/skinState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import { nextEcdysis } from './nextEcdysis.ts'

type Sign = NonNullable<SkinState['sign']>

/** Refusals since, from which something besides silence speaks for a sign. */
const REFUSES = 2
/** A row of refusals so long after the sign should be over is about something else. */
const BEGUN_WITH_IT = 7
/** Meals in a row since it should be over, from which it is over although nobody wrote that down. */
const EATS = 2
/** Seen again so late in its usual time, it is still there. */
const SEEN_AGAIN = 0.8
/** An interval so many times the shortest holds a shed that nobody wrote down. */
const MISSED_ONE = 1.75

function offersSince({ feeding }: ResidentState, day: Day): Offer[] {
  return Object.values(feeding.lines)
    .flatMap(({ offers }) => offers.filter((offer) => offer.day > day && offer.outcome !== 'notOffered'))
    .sort((a, b) => a.day - b.day)
}

/** Whether keepers of this one write each shed or molt down. */
function writesSheds({ day, plan, state, holds }: Evidence): boolean {
  const next = nextEcdysis({ day, plan, state, holds })
  if (!next || next.all.length < 2 || plan.ecdysis?.eaten) return false
  return Math.max(...next.all) < MISSED_ONE * Math.min(...next.all)
}

/** Whether a sign that was never ended is still there, as far as anything but silence tells: it was seen again, it
 * refuses, nobody offered it food since, or its keepers write down when the skin comes off. One that eats again has its
 * skin behind it. `usual`: the days such a sign lasts. */
export function isStillOpen(sign: Sign, evidence: Evidence, usual: number): boolean {
  const { day, state } = evidence
  const { stage, since, day: seen } = sign
  if (seen - since >= usual * SEEN_AGAIN) return true
  const rows = Object.values(state.feeding.lines).map((line) => rowOn(line, day))
  const begun = since + usual + BEGUN_WITH_IT
  if (rows.some((row) => row && row.from >= since && row.from <= begun && row.refusals >= REFUSES))
    return true
  // Held for it and offered nothing since: nothing can show that it is over.
  if (offersSince(state, since).length === 0) return true
  const offers = offersSince(state, stage === 'soft' ? since : since + usual)
  const eaten = offers.slice(-EATS).filter((offer) => wasEaten(offer) !== false)
  if (eaten.length >= (stage === 'soft' ? 1 : EATS)) return false
  return stage !== 'soft' && writesSheds(evidence)
}
