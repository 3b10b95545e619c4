import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'
import { NO_FEEDS, withdrawn } from './feedLine.ts'
import type { FeedingState } from './feedingState.ts'
import { own } from '../subjects/own.ts'

/** From this share left over, a meal left in place was not eaten. */
const UNEATEN_FRACTION = 0.9
const USUALLY_LEFT = { empty: 0, leftovers: 0.5, full: 1 } as const

const Payload = z.strictObject({
  duty,
  found: z.enum(['empty', 'leftovers', 'full']),
  leftFraction: z.optional(z.number().check(z.minimum(0), z.maximum(1))),
  refilled: z.optional(z.boolean()),
})

function feedingAfter(
  feeding: FeedingState,
  answered: string,
  day: number,
  { found, leftFraction, refilled = false }: z.infer<typeof Payload>,
): FeedingState {
  const left = found === 'empty' ? 0 : (leftFraction ?? USUALLY_LEFT[found])
  const line = own(feeding.lines, answered) ?? NO_FEEDS
  const uneaten = left >= UNEATEN_FRACTION ? withdrawn(line, day) : null
  const judged = uneaten ?? line
  const portion = judged.portion && {
    ...judged.portion,
    leftFraction: left,
    cleared: left === 0 ? judged.portion.cleared + 1 : 0,
  }
  return {
    ...feeding,
    today: uneaten ? feeding.today.filter(({ uid }) => uid !== uneaten.lastOffer?.uid) : feeding.today,
    bowls: { ...feeding.bowls, [answered]: { day, found, refilled } },
    lines: { ...feeding.lines, [answered]: { ...judged, portion } },
  }
}

/** The bowl or the feeding place as it was found. */
export const bowl = residentKind({
  payload: Payload,
  recordedBy: HANDS,
  fold(state, fact) {
    const { duty: answered = 'feed' } = fact.payload
    return {
      ...withDone(state, `${answered}:bowl`, fact),
      feeding: feedingAfter(state.feeding, answered, fact.day, fact.payload),
    }
  },
})
