import type { HoldKind } from '../../facts/holds/holdKind.ts'
import { pastHolds } from '../../facts/holds/holdsState.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Day } from '../../basics/time/day.ts'

/** Holds under which a body becomes another one: eggs that are carried and laid, what a rest or a fast lives on. */
const CHANGES_THE_BODY: readonly HoldKind[] = [
  'gravid',
  'incubating',
  'winterRest',
  'fasting',
  'founding',
  'sealedIn',
]

/** The days from which weights begin anew, ascending: after laying or birth, after a rest, after a fast. A new stay
 * has weighings of its own. */
export function freshStarts({ holds }: Pick<ResidentState, 'holds'>): Day[] {
  return pastHolds(holds, Infinity)
    .filter(({ hold }) => CHANGES_THE_BODY.includes(hold))
    .map(({ until }) => until)
    .sort((a, b) => a - b)
}

/** The last of them by a day; null where there is none. */
export function freshSince(state: Pick<ResidentState, 'holds'>, day: Day): Day | null {
  return freshStarts(state).findLast((start) => start <= day) ?? null
}
