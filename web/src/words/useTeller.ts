import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import type { Teller } from './reasons.ts'

/** Says days, people and times the way this site does. */
export function useTeller(): Teller {
  const site = useSite()
  const today = useToday()
  return {
    get today() {
      return today.day
    },
    who: (personId) => site.nameOf(personId),
    clock: (iso) => today.clock(iso),
    stage(sheet, stage) {
      const species = site.species.get(sheet)
      const named = species?.stages.find(({ id }) => id === stage)
      return `${species?.common ?? sheet}, ${named?.name ?? stage}`
    },
    school(sheet, school, option) {
      const known = site.species.get(sheet)?.schools.find(({ id }) => id === school)
      const side = known?.options.find(({ id }) => id === option)
      return `${side?.name ?? option} (${known?.question ?? school})`
    },
  }
}
