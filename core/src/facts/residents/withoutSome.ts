import type { CountState } from '../count/countState.ts'
import { offMissing } from '../count/countState.ts'
import { fewer } from '../count/howMany.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { Ended } from './ended.ts'
import { withGoing } from './goings.ts'
import type { ResidentState } from './residentState.ts'

/** How a stay ended, but for when and by whom. */
type Ending = Pick<Ended, 'how'> & {
  [K in 'as' | 'dueBack' | 'postMortem' | 'disposal']?: Ended[K] | undefined
}

/** How many are left when so many go; without a number all of them do. Null when none is left. */
export function leftWithout(
  { howMany, shortfalls }: CountState,
  gone: number | undefined,
  { how, day }: { how: Ended['how']; day: number },
): CountState | null {
  if (gone === undefined) return null
  // A body that turns up while some are missing is one of those: they are not missing twice.
  const off = how === 'died' ? offMissing(shortfalls, gone) : { shortfalls: [...shortfalls], rest: gone }
  if (off.rest === 0) return { howMany, shortfalls: off.shortfalls }
  const left = fewer(howMany, off.rest, day)
  return left && { howMany: left, shortfalls: off.shortfalls }
}

/** Nobody of it is here any more. It is gone the way it was first said. */
export function withEnd(state: ResidentState, fact: Happening, ending: Ending): ResidentState {
  if (state.stay.ended) return state
  return {
    ...state,
    stay: { ...state.stay, expected: null, place: null, ended: { ...markOf(fact), ...ending } },
  }
}

/** Some of a colony are no longer there, or the one animal is not: then its stay has ended. */
export function withoutSome(
  state: ResidentState,
  fact: Happening,
  gone: number | undefined,
  ending: Ending,
): ResidentState {
  const left = leftWithout(state.count, gone, { how: ending.how, day: fact.day })
  if (left === null || gone === undefined) return withEnd(state, fact, ending)
  const goings = withGoing(state.stay.goings, { ...markOf(fact), ...ending, count: gone })
  return { ...state, stay: { ...state.stay, goings }, count: left }
}
