import type { Fact, Payload } from '../entries/entry.ts'
import { cursorOf } from '../entries/order.ts'
import { foldBowl, foldFed } from './foldFeeding.ts'
import { foldEcdysis } from './foldEcdysis.ts'
import { foldFloorChecked, foldFloorHeld, withoutFloor } from './foldFloor.ts'
import { foldAccounted, foldCount, foldMoved, withoutVacated } from './foldMoved.ts'
import { markOf } from './markOf.ts'
import type { ResidentState } from './residentState.ts'

/** Enough monthly weights for two years, or weekly ones for half a year. */
const WEIGHTS_KEPT = 24
const OBSERVATIONS_KEPT = 5

function withDone(state: ResidentState, duty: string, fact: Fact): ResidentState {
  return { ...state, done: { ...state.done, [duty]: markOf(fact) } }
}

function keepLast<T>(list: readonly T[], next: T, kept: number): T[] {
  return [...list, next].slice(-kept)
}

/** Being handled, weighed, measured or eating in view is being seen. */
function seen(state: ResidentState, fact: Fact): ResidentState {
  return { ...state, seenOn: fact.day, searches: 0 }
}

function foldSighted(state: ResidentState, fact: Fact, payload: Payload<'sighted'>): ResidentState {
  const looked = withDone(state, payload.duty ?? 'look', fact)
  return payload.seen ? seen(looked, fact) : { ...looked, searches: looked.searches + 1 }
}

function withoutHold(state: ResidentState, kind: Payload<'released'>['hold']): ResidentState {
  const { [kind]: _released, ...holds } = state.holds
  return { ...state, holds }
}

function apply(state: ResidentState, fact: Fact): ResidentState {
  switch (fact.kind) {
    case 'arrived':
      return {
        ...state,
        arrivedOn: fact.day,
        place: { enclosure: fact.payload.enclosure, since: fact.day },
      }
    case 'expected':
      return { ...state, place: { enclosure: fact.payload.enclosure, since: fact.day }, expectedOn: fact.day }
    case 'moved':
      return foldMoved(state, fact, fact.payload)
    case 'vacated':
      return withoutVacated(state, fact.payload.enclosure)
    case 'counted':
      return foldCount(state, fact, fact.payload.count, fact.payload.expected)
    case 'accounted':
      return foldAccounted(state, fact, fact.payload)
    case 'floorHeld':
      return foldFloorHeld(state, fact, fact.payload)
    case 'floorChecked':
      return foldFloorChecked(state, fact, fact.payload)
    case 'floorReleased':
      return withoutFloor(state, fact.payload.floor)
    case 'checked':
      return withDone(state, fact.payload.duty ?? 'check', fact)
    case 'condition':
      return { ...seen(state, fact), condition: { ...markOf(fact), score: fact.payload.score } }
    case 'fed':
      return foldFed(state, fact, fact.payload)
    case 'bowl':
      return foldBowl(state, fact, fact.payload)
    case 'watered':
      return withDone(state, fact.payload.duty ?? 'water', fact)
    case 'cleaned': {
      const cleaned = withDone(state, fact.payload.duty ?? 'clean', fact)
      return fact.payload.scope === 'full' ? withDone(cleaned, 'fullClean', fact) : cleaned
    }
    case 'moistened':
      return withDone(state, fact.payload.duty ?? 'dampen', fact)
    case 'weighed': {
      const { grams, confirmed } = fact.payload
      const reading = { day: fact.day, grams, uid: fact.uid, ...(confirmed && { confirmed }) }
      return {
        ...withDone(seen(state, fact), fact.payload.duty ?? 'weigh', fact),
        weights: keepLast(state.weights, reading, WEIGHTS_KEPT),
      }
    }
    case 'measured': {
      const { part, mm } = fact.payload
      return {
        ...withDone(seen(state, fact), fact.payload.duty ?? 'measure', fact),
        sizes: { ...state.sizes, [part]: { day: fact.day, mm } },
      }
    }
    case 'ecdysis':
      return foldEcdysis(state, fact, fact.payload)
    case 'sighted':
      return foldSighted(state, fact, fact.payload)
    case 'droppings':
      return withDone(state, 'droppings', fact)
    case 'observed': {
      const observation = { ...markOf(fact), ...fact.payload }
      return { ...state, observations: keepLast(state.observations, observation, OBSERVATIONS_KEPT) }
    }
    case 'noted':
      return { ...state, note: { ...markOf(fact), text: fact.payload.text } }
    case 'held': {
      const { hold, until, reason } = fact.payload
      const set = { since: fact.day, until: until ?? null, reason, by: fact.author, uid: fact.uid }
      return { ...state, holds: { ...state.holds, [hold]: set } }
    }
    case 'released': {
      const lifted = withoutHold(state, fact.payload.hold)
      // A hold that rests on a sign of the skin ends with the sign.
      return state.ecdysis?.stage === fact.payload.hold ? { ...lifted, ecdysis: null } : lifted
    }
  }
}

/** What we believe after one more fact. Facts must come in their resident's order
 * (see `compareCursors`); `advance` guards that, `replay` puts a whole history in order first. */
export function reduce(state: ResidentState, fact: Fact): ResidentState {
  const next = apply(state, fact)
  return { ...next, cursor: cursorOf(fact), facts: state.facts + 1 }
}
