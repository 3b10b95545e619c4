import { nothingOffered, sumOf } from '../feeding/offerSum.ts'
import type { FeedingState, FeedLine } from '../feeding/feedingState.ts'
import { nothingSeen } from '../looking/lookingState.ts'
import { withEnded } from '../holds/saidHolds.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { KnownTo } from './register.ts'
import type { ResidentState } from './residentState.ts'

/** What is known of its feeding as it comes back: what it accepts, and no meals or refusals that still count. */
function fedElsewhere({ lines }: FeedingState): FeedingState {
  const kept = Object.entries(lines).map(([duty, line]): [string, FeedLine] => {
    const { items, supplements, habit, meals } = sumOf(line)
    return [duty, { before: { ...nothingOffered(), items, supplements, habit, meals }, offers: [] }]
  })
  return { lines: Object.fromEntries(kept), bowls: {} }
}

/** Weights of earlier stays that are kept. */
const EARLIER_KEPT = 48

/** A stay begins in one place. Signs, rows of refusals, gaps between sightings, clocks of duties and holds begin with
 * it; what was before stays readable and is not judged any more. */
export function beginStay(
  state: ResidentState,
  fact: Happening,
  {
    enclosure,
    hereSince,
    hereTo,
  }: { enclosure: string; hereSince?: number | null | undefined; hereTo?: KnownTo | undefined },
): ResidentState {
  const { day, occurredAt: at } = fact
  const place = { enclosure, since: day, at }
  const { cameOn: _before, cameTo: _to, ...stay } = state.stay
  const here = {
    expected: null,
    arrivedOn: day,
    ...(hereSince !== undefined && { cameOn: hereSince }),
    ...(hereTo && { cameTo: hereTo }),
    place,
    ended: null,
  }
  // What was told of it before it came is of this stay.
  if (!stay.ended) return { ...state, stay: { ...stay, ...here } }
  const mark = markOf(fact)
  return {
    ...state,
    stay: {
      ...stay,
      ...here,
      before: [...stay.before, { arrivedOn: stay.arrivedOn, ended: stay.ended }].slice(-8),
    },
    done: {},
    feeding: fedElsewhere(state.feeding),
    skin: { ...state.skin, sign: null, signEnded: mark, from: day },
    growth: {
      ...state.growth,
      weights: [],
      earlier: [...(state.growth.earlier ?? []), ...state.growth.weights].slice(-EARLIER_KEPT),
    },
    looking: nothingSeen(),
    holds: withEnded(
      state.holds,
      state.holds.said.map(({ hold }) => hold),
      mark,
    ),
    count: { ...state.count, shortfalls: [] },
  }
}
