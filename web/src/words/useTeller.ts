import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import type { Teller } from './teller.ts'

/** Says days, people and times the way this site does. */
export function useTeller(): Teller {
  const site = useSite()
  const today = useToday()

  function stageName(sheet: string, stage: string): string {
    return site.species.get(sheet)?.stages.find(({ id }) => id === stage)?.name ?? stage
  }

  function school(sheet: string, id: string, option: string): string {
    const known = site.species.get(sheet)?.schools.find((one) => one.id === id)
    const side = known?.options.find((one) => one.id === option)
    return `${side?.name ?? option} (${known?.question ?? id})`
  }

  function sheetOf(residentId: string): string {
    return site.residents.get(residentId)?.sheet ?? ''
  }

  return {
    get today() {
      return today.day
    },
    who: (personId) => site.nameOf(personId),
    clock: (iso) => today.clock(iso),
    resident: (residentId) => site.residents.get(residentId)?.name ?? '',
    stage: (sheet, stage) => `${site.species.get(sheet)?.common ?? sheet}, ${stageName(sheet, stage)}`,
    school,
    stageOf: (residentId, stage) => stageName(sheetOf(residentId), stage),
    schoolOf: (residentId, id, option) => school(sheetOf(residentId), id, option),
  }
}
