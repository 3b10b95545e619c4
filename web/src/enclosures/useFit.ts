import type { Enclosure } from '@kobrin/contract'
import type { Resident } from '../site/useSite.ts'
import type { Finding, FitInput, Plan } from '@kobrin/core'
import { countOf, fit, holdsOn, toMend, wantedBy } from '@kobrin/core'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { t } from './words.ts'

/** Holds enclosures against what their residents, or those who might move in, need. */
export function useFit() {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const today = useToday()

  function roomCelsius(enclosure: Enclosure) {
    const bay = site.bays.get(enclosure.bayId)
    return (bay && site.rooms.get(bay.roomId)?.celsius) ?? undefined
  }

  /** For the resident or newcomer that would have this plan. */
  function fitFor(
    enclosure: Enclosure,
    tenant: FitInput['tenant'],
    plan: Plan,
    holds: FitInput['holds'] = [],
  ): Finding[] {
    return fit({
      box: enclosure,
      build: enclosure.build,
      tenant,
      ...wantedBy(plan),
      holds,
      roomCelsius: roomCelsius(enclosure),
      day: today.day,
    })
  }

  /** Millimetres by part, as it was last measured. */
  function sizesOf({ id }: Resident): FitInput['tenant']['sizes'] {
    const { sizes } = record.stateOf(id).growth
    return Object.fromEntries(Object.entries(sizes).map(([part, { mm }]) => [part, mm]))
  }

  function fitOf(enclosure: Enclosure, resident: Resident): Finding[] {
    const state = record.stateOf(resident.id)
    const tenant = { sizes: sizesOf(resident), count: countOf(state) ?? 1 }
    const plan = plans.planOf(resident)
    const holds = holdsOn(today.day, state, plan, null).map(({ hold }) => hold)
    return fitFor(enclosure, tenant, plan, holds)
  }

  return { fitFor, fitOf, sizesOf }
}

/** "fits", or how much has to be mended first. */
export function sayFit(findings: readonly Finding[]): string {
  const { length } = toMend(findings)
  if (length === 0) return t('fits')
  return length === 1 ? t('oneThingToMend') : t('thingsToMend', { count: length })
}
