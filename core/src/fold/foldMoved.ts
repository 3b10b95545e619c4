import type { Fact, Payload } from '../entries/entry.ts'
import { markOf } from './markOf.ts'
import type { ResidentState } from './residentState.ts'

/** A count, and what is missing when fewer were found than were expected. */
export function foldCount(state: ResidentState, fact: Fact, found: number, expected?: number): ResidentState {
  const counted = { ...state, count: { day: fact.day, count: found } }
  if (expected === undefined || found >= expected) return counted
  return { ...counted, unaccounted: { ...markOf(fact), expected, found } }
}

/** A move: the new place, the count at both ends, and what is to become of the place left behind. */
export function foldMoved(state: ResidentState, fact: Fact, payload: Payload<'moved'>): ResidentState {
  const { to, expected, found, leaves } = payload
  const from = payload.from ?? state.place?.enclosure
  const there = { ...state, place: { enclosure: to, since: fact.day } }
  const counted = found === undefined ? there : foldCount(there, fact, found, expected)
  if (!leaves || from === undefined) return counted
  return {
    ...counted,
    vacated: [...(state.vacated ?? []), { ...markOf(fact), enclosure: from, leaves }],
  }
}

/** Some of the missing, all or none of them, were found: the matter is closed. */
export function foldAccounted(
  state: ResidentState,
  fact: Fact,
  { found }: Payload<'accounted'>,
): ResidentState {
  const { unaccounted, ...rest } = state
  if (!unaccounted) return state
  return { ...rest, count: { day: fact.day, count: unaccounted.found + found } }
}

/** The place it left has been seen to. */
export function withoutVacated(state: ResidentState, enclosure: string): ResidentState {
  const { vacated = [], ...rest } = state
  const left = vacated.filter((one) => one.enclosure !== enclosure)
  return left.length > 0 ? { ...rest, vacated: left } : rest
}
