import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { Happening } from '../subjects/kind.ts'
import { aliveBy, goneBy, residentKind, withDone } from '../residents/residentKind.ts'
import { duty } from '../subjects/values.ts'
import { habitAfter } from './habit.ts'
import { decided, LEFTOVER_DAYS, NO_FEEDS, withdrawn } from './feedLine.ts'
import type { FeedingState } from './feedingState.ts'
import { own } from '../subjects/own.ts'

/** From this share left over, a meal left in place was not eaten. */
const UNEATEN_FRACTION = 0.9
const USUALLY_LEFT = { empty: 0, leftovers: 0.5, full: 1 } as const

/** The duty whose bowl holds water and no food. */
const WATER = 'water'

const Payload = z.strictObject({
  duty,
  found: z.enum(['empty', 'leftovers', 'full']),
  leftFraction: z.optional(z.number().check(z.minimum(0), z.maximum(1))),
  refilled: z.optional(z.boolean()),
})

function leftOver({ found, leftFraction }: Pick<z.infer<typeof Payload>, 'found' | 'leftFraction'>): number {
  return found === 'empty' ? 0 : (leftFraction ?? USUALLY_LEFT[found])
}

function feedingAfter(
  feeding: FeedingState,
  answered: string,
  day: number,
  { found, leftFraction, refilled = false }: z.infer<typeof Payload>,
): FeedingState {
  if (answered === WATER)
    return { ...feeding, bowls: { ...feeding.bowls, [answered]: { day, found, refilled } } }
  const left = leftOver({ found, ...(leftFraction !== undefined && { leftFraction }) })
  const line = own(feeding.lines, answered) ?? NO_FEEDS
  const uneaten = left >= UNEATEN_FRACTION ? withdrawn(line, day) : null
  const judged = uneaten ?? decided(line)
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

/** What the bowl says of whoever was not seen at it, and of its appetite. */
function met(
  state: ResidentState,
  answered: string,
  fact: Happening<z.infer<typeof Payload>>,
): ResidentState {
  const { found } = fact.payload
  if (answered === WATER) return found === 'full' ? goneBy(state, 'full') : aliveBy(state, fact)
  const offered = own(state.feeding.lines, answered)?.lastOffer
  const wasLeft = offered?.outcome === 'left' && fact.day - offered.day <= LEFTOVER_DAYS
  if (!wasLeft) return found === 'empty' ? aliveBy(state, fact) : state
  const eaten = leftOver(fact.payload) < UNEATEN_FRACTION
  const habit = habitAfter(state, eaten)
  const after = eaten ? aliveBy(state, fact) : goneBy(state, 'untouched')
  return { ...after, feeding: { ...after.feeding, ...(habit && { habit }) } }
}

/** The bowl or the feeding place as it was found. */
export const bowl = residentKind({
  payload: Payload,
  recordedBy: HANDS,
  fold(state, fact) {
    const { duty: answered = 'feed' } = fact.payload
    const done = withDone(met(state, answered, fact), `${answered}:bowl`, fact)
    return { ...done, feeding: feedingAfter(done.feeding, answered, fact.day, fact.payload) }
  },
})
