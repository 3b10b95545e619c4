import type { ResidentState } from '../residents/residentState.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { Shortfall } from './countState.ts'
import { offMissing } from './countState.ts'

/** Who is missing after a count. A full count, held against nothing, ends what was missing before; fewer than were
 * expected are missing besides those; more are some of the missing found again. */
function shortfallsAfter(
  before: readonly Shortfall[],
  fact: Happening,
  found: number,
  expected: number | undefined,
): Shortfall[] {
  if (expected === undefined) return []
  if (found >= expected) return offMissing(before, found - expected).shortfalls
  return [...before, { ...markOf(fact), expected, found, open: expected - found }]
}

/** A count, and who is missing when fewer were found than were expected. */
export function withCount(
  state: ResidentState,
  fact: Happening,
  {
    count: found,
    expected,
    about,
  }: { count: number; expected?: number | undefined; about?: true | undefined },
): ResidentState {
  const shortfalls = shortfallsAfter(state.count.shortfalls, fact, found, expected)
  const { howMany } = state.count
  // One animal that is found stays one animal.
  const isOne = howMany.is === 'one' && howMany.sure === true && found <= 1
  // Said late: they were counted since.
  const isOld = howMany.is === 'known' && howMany.day !== null && howMany.day > fact.day
  return {
    ...state,
    count: {
      howMany:
        isOne || isOld ? howMany : { is: 'known', count: found, day: fact.day, ...(about && { about }) },
      shortfalls,
    },
  }
}
