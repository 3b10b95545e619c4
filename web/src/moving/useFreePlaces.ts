import { computed } from 'vue'
import { useSite } from '../site/useSite.ts'
import { useResidents } from '../residents/useResidents.ts'

/** Enclosures that stand empty, by the name of their place. */
export function useFreePlaces() {
  const site = useSite()
  const residents = useResidents()
  return computed(() =>
    [...site.enclosures.values()]
      .filter(({ id }) => !residents.isTaken(id))
      .map(({ id }) => ({ id, label: site.placeName(id) }))
      .sort((a, b) => a.label.localeCompare(b.label)),
  )
}
