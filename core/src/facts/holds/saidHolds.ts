import type { Mark } from '../subjects/mark.ts'
import type { HoldKind } from './holdKind.ts'
import type { HoldsState, SaidHold } from './holdsState.ts'
import { standsOn } from './holdsState.ts'

const PAST_KEPT = 16

function shortened(said: readonly SaidHold[]): SaidHold[] {
  const over = said.filter(({ ended }) => ended !== null)
  const dropped = new Set(over.slice(0, -PAST_KEPT))
  return said.filter((one) => !dropped.has(one))
}

/** One more saying of a hold. While it stands, a second one changes how long and why, and never when it began. */
export function withSaid(holds: HoldsState, next: SaidHold): HoldsState {
  const open = holds.said.findLast((one) => one.hold === next.hold && standsOn(one, next.since))
  if (!open) return { ...holds, said: shortened([...holds.said, next]) }
  const { until, reason } = next
  return { ...holds, said: holds.said.map((one) => (one === open ? { ...one, until, reason } : one)) }
}

/** Ends what was said of some kinds. */
export function withEnded(holds: HoldsState, kinds: readonly HoldKind[], mark: Mark): HoldsState {
  const ends = (one: SaidHold) => kinds.includes(one.hold) && standsOn(one, mark.day) && one.at <= mark.at
  if (!holds.said.some(ends)) return holds
  return { ...holds, said: holds.said.map((one) => (ends(one) ? { ...one, ended: mark } : one)) }
}
