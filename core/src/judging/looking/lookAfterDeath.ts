import { AFTER_DEATH } from '../../facts/looking/companionDied.ts'
import type { Duty } from '../../plans/plan/duty.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Day } from '../../basics/time/day.ts'

/** Once somebody has looked, the death beside it asks for nothing more. */
export function lookAfterDeath(plan: Plan, { done, looking }: ResidentState, day: Day): Duty[] {
  const death = looking.companionDied
  const looked = done[AFTER_DEATH]
  if (!death || (looked && looked.day < day)) return []
  const cadence = { type: 'once', day: death.day } as const
  return [{ id: AFTER_DEATH, does: 'look', cadence, people: 1, minutes: 2, source: fromSheet(plan) }]
}

/** Why that look is asked for; null for any other duty. */
export function becauseOfDeath({ id }: Duty, { looking }: ResidentState): Reason[] | null {
  const death = looking.companionDied
  if (id !== AFTER_DEATH || !death) return null
  const { companion, by, day } = death
  return [{ fact: 'companionDied', companion, by, day }, { rule: 'lookAfterDeath' }]
}
