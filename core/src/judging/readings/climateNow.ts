import type { Day } from '../../basics/time/day.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { SaidHold } from '../../facts/holds/holdsState.ts'
import { endOf } from '../../facts/holds/holdsState.ts'
import type { LastReading } from '../../facts/readings/readingsState.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { WATER_QUANTITIES } from '../../plans/readings/water.ts'
import type { Hold } from '../holds/holdsOn.ts'

interface Kept {
  plan: Plan
  state: ResidentState
  holds: readonly Hold[]
}

/** Whether a quantity is of the climate around something, and not of what is in its water. */
export function isOfClimate(what: Quantity): boolean {
  return !WATER_QUANTITIES.some((one) => one === what)
}

function hasOwnClimate(hold: HoldKind, { targets }: Plan): boolean {
  return hold === 'winterRest' || targets.some(({ during }) => during === hold)
}

/** The hold by which it lives in another climate now. */
function restOf({ plan, holds }: Kept): Hold | undefined {
  return holds.find(({ hold }) => hasOwnClimate(hold, plan))
}

function isOfOtherClimate({ zone }: LastReading, { targets }: Plan): boolean {
  const named = targets.filter((one) => one.zone === zone)
  return named.length > 0 && named.every(({ during }) => during !== undefined)
}

/** Read while it was held so, by a hold that is over: in the order of the record on the day of its end. */
function wasReadIn(said: SaidHold, { day, at }: LastReading): boolean {
  const until = endOf(said)
  if (until === null || day < said.since) return false
  return day < until || (day === until && said.ended !== null && at < said.ended.at)
}

/** The day on which the climate it lives in began, where it has another at rest: that of its rest, or of its waking;
 * null where it never rested. */
export function climateSince(day: Day, kept: Kept): Day | null {
  const rest = restOf(kept)
  if (rest) return rest.since
  const { plan, state } = kept
  const wakings = state.holds.said.flatMap((said) => {
    const until = endOf(said)
    return hasOwnClimate(said.hold, plan) && until !== null && until <= day ? [until] : []
  })
  return wakings.length > 0 ? Math.max(...wakings) : null
}

/** Whether what was read is of the climate it lives in: not from before it was laid to rest, nor from a rest that is
 * over (but for what is in its water), nor of the place of a rest in which it is not. */
export function isOfClimateNow(reading: LastReading, kept: Kept): boolean {
  const rest = restOf(kept)
  if (rest) return reading.day >= rest.since
  const { plan, state } = kept
  if (isOfOtherClimate(reading, plan)) return false
  if (!isOfClimate(reading.what)) return true
  return !state.holds.said.some((said) => hasOwnClimate(said.hold, plan) && wasReadIn(said, reading))
}
