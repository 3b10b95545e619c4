import type { Enclosure, Resident } from '@kobrin/contract'
import type { Finding, Plan } from '@kobrin/core'
import { fit } from '@kobrin/core'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'

/** Holds enclosures against what their residents, or those who might move in, need. */
export function useFit() {
  const site = useSite()
  const record = useRecord()
  const today = useToday()

  function roomCelsius(enclosure: Enclosure) {
    const bay = site.bays.get(enclosure.bayId)
    return (bay && site.rooms.get(bay.roomId)?.celsius) ?? undefined
  }

  function fitOf(enclosure: Enclosure, resident: Resident, plan: Plan = site.planOf(resident)): Finding[] {
    const state = record.stateOf(resident.id)
    const sizes = Object.fromEntries(Object.entries(state.sizes).map(([part, { mm }]) => [part, mm]))
    return fit({
      box: enclosure,
      build: enclosure.build,
      tenant: { sizes, count: state.count?.count ?? resident.count ?? 1 },
      housing: plan.housing,
      light: plan.light,
      targets: plan.targets,
      roomCelsius: roomCelsius(enclosure),
      sources: plan.sources,
      day: today.day,
    })
  }

  return { fitOf }
}

/** What has to be mended; what is only worth knowing does not stand in the way. */
export function toMend(findings: readonly Finding[]): Finding[] {
  return findings.filter(({ severity }) => severity !== 'info')
}

export function isFit(findings: readonly Finding[]): boolean {
  return toMend(findings).length === 0
}

/** "fits", or how much has to be mended first. */
export function sayFit(findings: readonly Finding[]): string {
  const { length } = toMend(findings)
  if (length === 0) return 'fits'
  return length === 1 ? 'one thing to mend' : `${length} things to mend`
}
