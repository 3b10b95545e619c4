import { computed } from 'vue'
import { useSite } from '../site/useSite.ts'
import { useResidents } from './useResidents.ts'
import type { Findable } from './search.ts'

/** Everyone who lives here, with the words they can be found by. */
export function useFindable() {
  const site = useSite()
  const residents = useResidents()
  return computed<Findable[]>(() =>
    [...site.residents.values()].map((resident) => {
      const species = site.species.get(resident.sheet)
      return {
        resident,
        species: species?.common ?? resident.sheet,
        latin: species?.latin ?? '',
        place: site.placeName(residents.homeOf(resident.id)),
      }
    }),
  )
}
