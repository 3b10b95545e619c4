import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { countOf } from '../count/countOf.ts'
import type { Ended } from './ended.ts'
import type { ResidentState } from './residentState.ts'

/** How many are left when so many go; without a number all of them do. Null where nobody has counted: a
 * number out of a colony says nothing of the rest. */
export function leftWithout(
  state: Pick<ResidentState, 'count' | 'register'>,
  gone: number | undefined,
): number | null {
  if (gone === undefined) return 0
  const known = countOf(state)
  return known === null ? null : Math.max(0, known - gone)
}

/** How a stay ended, but for when and by whom. */
type Ending = Pick<Ended, 'how'> & {
  [K in 'as' | 'dueBack' | 'postMortem' | 'disposal']?: Ended[K] | undefined
}

/** Nobody of it is here any more. */
export function withEnd(state: ResidentState, fact: Happening, ending: Ending): ResidentState {
  return { ...state, stay: { ...state.stay, place: null, ended: { ...markOf(fact), ...ending } } }
}

/** Some of a colony are no longer there, or the one animal is not: then its stay has ended. */
export function withoutSome(
  state: ResidentState,
  fact: Happening,
  gone: number | undefined,
  ending: Ending,
): ResidentState {
  const left = leftWithout(state, gone)
  if (left === null) return state
  if (left === 0) return withEnd(state, fact, ending)
  return { ...state, count: { ...state.count, last: { day: fact.day, count: left } } }
}
