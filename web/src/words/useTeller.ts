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
  }
}
