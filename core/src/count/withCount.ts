import type { ResidentState } from '../residents/residentState.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'

const SHORTFALLS_KEPT = 5

/** A count, and who is missing when fewer were found than were expected. One shortfall adds to another:
 * who is missing stays missing until somebody says what became of them. */
export function withCount(
  state: ResidentState,
  fact: Happening,
  found: number,
  expected?: number,
): ResidentState {
  const last = { day: fact.day, count: found }
  if (expected === undefined || found >= expected) return { ...state, count: { ...state.count, last } }
  const shortfall = { ...markOf(fact), expected, found }
  return {
    ...state,
    count: {
      last,
      missing: state.count.missing + expected - found,
      shortfalls: [...state.count.shortfalls, shortfall].slice(-SHORTFALLS_KEPT),
    },
  }
}
