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
      return `${species?.common ?? sheet}, ${species?.stages[stage] ?? stage}`
    },
    school(sheet, school, option) {
      const known = site.species.get(sheet)?.schools[school]
      return `${known?.options[option] ?? option} (${known?.question ?? school})`
    },
  }
}
