import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { countOf } from '../count/countOf.ts'
import type { ResidentState } from './residentState.ts'

/** Some of a colony are no longer there, or the one animal is not: then its stay has ended. Without a
 * number it is about all of them. */
export function withoutSome(
  state: ResidentState,
  fact: Happening,
  how: 'died' | 'left',
  gone: number | undefined,
): ResidentState {
  const known = countOf(state)
  if (gone !== undefined && (known === null || known > gone)) {
    if (known === null) return state
    return { ...state, count: { ...state.count, last: { day: fact.day, count: known - gone } } }
  }
  return { ...state, stay: { ...state.stay, place: null, ended: { ...markOf(fact), how } } }
}
