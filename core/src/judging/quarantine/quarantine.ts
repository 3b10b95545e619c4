import { cameOn } from '../../facts/residents/stayState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Day } from '../../basics/time/day.ts'

export interface Quarantine {
  since: Day
  /** First day on which it may leave. */
  until: Day
  days: number
}

/** The quarantine somebody is in on a day: so many days from its arrival as its sheet asks for. Null when it is
 * over, or where the sheet asks for none. That the days are over clears nobody: tests and the vet do. */
export function quarantineOn(
  day: Day,
  { quarantineDays }: Pick<Plan, 'quarantineDays'>,
  { stay }: Pick<ResidentState, 'stay'>,
): Quarantine | null {
  const since = cameOn(stay)
  if (quarantineDays === undefined || since === null) return null
  const until = since + quarantineDays
  return day < until ? { since, until, days: quarantineDays } : null
}
