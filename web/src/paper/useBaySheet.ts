import { computed } from 'vue'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { Face } from '../walk/stops.ts'
import { sheetOf } from './sheet.ts'

/** The sheet of one bay on one day, and where in the bay each line belongs. */
export function useBaySheet(face: () => Face, day: () => number) {
  const site = useSite()
  const residents = useResidents()
  const sheet = computed(() => sheetOf(face().residents, (id) => residents.dayOn(id, { day: day() })))

  /** The shelf from the top and the place from the left. */
  function placeOf(resident: string): string {
    const box = site.enclosures.get(residents.homeOf(resident) ?? '')
    return box ? `${box.row + 1}/${box.column + 1}` : ''
  }

  return { sheet, placeOf }
}
