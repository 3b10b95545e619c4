import type { Units } from '@kobrin/contract'
import type { ComputedRef } from 'vue'
import { computed } from 'vue'
import { useSite } from '../site/useSite.ts'
import { usePeople } from './usePeople.ts'

/** In which units the person at this screen reads and types: their own choice, or that of the house. */
export function useUnits(): ComputedRef<Units> {
  const people = usePeople()
  const site = useSite()
  return computed(() => people.person?.units ?? site.site?.units ?? 'metric')
}
