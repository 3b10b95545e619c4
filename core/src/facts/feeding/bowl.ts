import * as z from 'zod/mini'
import { HANDS } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { own } from '../subjects/own.ts'
import { duty } from '../subjects/values.ts'
import type { Sighting } from '../looking/sightings.ts'
import { openOffer, withLeftover } from './feedLine.ts'
import { wasEaten } from './offerSum.ts'

const USUALLY_LEFT = { empty: 0, leftovers: 0.5, full: 1 } as const

/** The duty whose bowl holds water and no food. */
const WATER = 'water'
/** The feeding duty where none is named and nothing lies open. */
const FEED = 'feed'

const Payload = z.strictObject({
  duty,
  found: z.enum(['empty', 'leftovers', 'full']),
  leftFraction: z.optional(z.number().check(z.minimum(0), z.maximum(1))),
  refilled: z.optional(z.boolean()),
})
type Bowl = Happening<z.infer<typeof Payload>>

function leftOver({ found, leftFraction }: Bowl['payload']): number {
  return found === 'empty' ? 0 : (leftFraction ?? USUALLY_LEFT[found])
}

function momentOf({ day, occurredAt }: Bowl): { day: number; at: string } {
  return { day, at: occurredAt }
}

/** The duty whose food was looked at: the one named, else the one with an offer that nobody has looked at yet. */
function answeredBy(state: ResidentState, fact: Bowl): string {
  const { duty: named } = fact.payload
  if (named !== undefined) return named
  const open = Object.entries(state.feeding.lines)
    .map(([line, known]) => ({ line, offer: openOffer(known, momentOf(fact)) }))
    .filter(({ offer }) => offer && wasEaten(offer) === null)
    .sort((a, b) => ((a.offer?.at ?? '') < (b.offer?.at ?? '') ? 1 : -1))
  return open[0]?.line ?? FEED
}

/** What a bowl shows of an animal that was not seen at it. */
export function shownByBowl(state: ResidentState, fact: Bowl): Sighting | null {
  const answered = answeredBy(state, fact)
  const { found } = fact.payload
  if (answered === WATER) return found === 'full' ? 'full' : 'alive'
  const offer = openOffer(own(state.feeding.lines, answered), momentOf(fact))
  if (!offer) return found === 'empty' ? 'alive' : null
  return wasEaten({ ...offer, found: { ...markOf(fact), left: leftOver(fact.payload) } })
    ? 'alive'
    : 'untouched'
}

/** The bowl or the feeding place as it was found. */
export const bowl = residentKind({
  payload: Payload,
  recordedBy: HANDS,
  fold(state, fact) {
    const answered = answeredBy(state, fact)
    const { found, refilled = false } = fact.payload
    const done = withDone(state, `${answered}:bowl`, fact)
    const bowls = { ...state.feeding.bowls, [answered]: { ...markOf(fact), found, refilled } }
    const line = own(state.feeding.lines, answered)
    if (answered === WATER || !line) return { ...done, feeding: { ...state.feeding, bowls } }
    const looked = withLeftover(line, { ...markOf(fact), left: leftOver(fact.payload) })
    return { ...done, feeding: { lines: { ...state.feeding.lines, [answered]: looked }, bowls } }
  },
})
