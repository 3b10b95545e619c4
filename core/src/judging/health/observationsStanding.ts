import type { Evidence } from '../verdicts/evidence.ts'
import type { Observation } from '../../facts/health/healthState.ts'

/** What somebody saw that still stands before the next shifts, by how grave it is. */
export function observationsStanding({
  day,
  plan,
  state,
}: Pick<Evidence, 'day' | 'plan' | 'state'>): Observation[] {
  const { observationDays } = plan.standing
  return state.health.observations.filter((seen) => day - seen.day < observationDays[seen.severity])
}
