import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { countOf } from '../count/countOf.ts'
import type { ResidentState } from './residentState.ts'

/** Whether nobody is left when so many go; without a number all of them do. A number out of a colony nobody
 * has counted says nothing of the rest. */
export function leavesNobody(state: Parameters<typeof countOf>[0], gone: number | undefined): boolean {
  const known = countOf(state)
  return gone === undefined || (known !== null && known <= gone)
}

/** Some of a colony are no longer there, or the one animal is not: then its stay has ended. Without a
 * number it is about all of them. */
export function withoutSome(
  state: ResidentState,
  fact: Happening,
  how: 'died' | 'left',
  gone: number | undefined,
): ResidentState {
  if (gone === undefined || leavesNobody(state, gone))
    return { ...state, stay: { ...state.stay, place: null, ended: { ...markOf(fact), how } } }
  const known = countOf(state)
  if (known === null) return state
  return { ...state, count: { ...state.count, last: { day: fact.day, count: known - gone } } }
}
