import type { SignOverride } from '@kobrin/contract'
import type { Override, PlannedDay } from '@kobrin/core'
import { isPlan, plannedDays } from '@kobrin/core'
import { useRecord } from '../entries/useRecord.ts'
import type { Resident } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { usePlans } from './usePlans.ts'
import { t } from './words.ts'

/** The days ahead as they stand, and as they would be. */
export interface Preview {
  before: PlannedDay[]
  after: PlannedDay[]
}

/** What would be otherwise: the stage, schools of its own or of the site, a change nobody has signed yet. */
export interface Otherwise {
  stage?: string
  schools?: Record<string, string>
  siteSchools?: Record<string, string>
  change?: Omit<SignOverride, 'reason' | 'sheet' | 'resident'>
}

const DAYS = 14

/** The days ahead with and without a change, before anybody makes it: computed here, from the same plan and
 * the same walk that the board uses. Null when such a plan could not be worked out. */
export function usePreview() {
  const plans = usePlans()
  const record = useRecord()
  const today = useToday()

  return function preview(resident: Resident, otherwise: Otherwise): Preview | null {
    const { stage = resident.stage, schools = {}, siteSchools = {}, change } = otherwise
    const unsigned: Override | null = change
      ? { ...change, by: '', on: today.day, at: '~', reason: t('notSignedYet') }
      : null
    const would = { ...resident, stage, schools: { ...resident.schools, ...schools } }
    const after = plans.planWith(would, { siteSchools, ...(unsigned && { change: unsigned }) })
    if (!isPlan(after)) return null
    const state = record.stateOf(resident.id)
    return {
      before: plannedDays(state, plans.planOf(resident), today.day, DAYS),
      after: plannedDays(state, after, today.day, DAYS),
    }
  }
}
