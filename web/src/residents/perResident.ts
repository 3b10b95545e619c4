import type { ComputedRef } from 'vue'
import { computed } from 'vue'

/** Something about each resident, worked out once and again only when what it rests on changes. */
export function perResident<T>(of: (residentId: string) => T): (residentId: string) => T {
  const known = new Map<string, ComputedRef<T>>()
  return (residentId) => {
    let one = known.get(residentId)
    if (!one) {
      one = computed(() => of(residentId))
      known.set(residentId, one)
    }
    return one.value
  }
}
