import { computed } from 'vue'
import { useSite } from '../site/useSite.ts'
import { useRound } from '../walk/useRound.ts'
import type { Findable } from './search.ts'

/** "Tar Room · Bay 2, north wall · shelf 1" */
export function usePlaceName() {
  const site = useSite()
  return (enclosureId: string | undefined): string => {
    const enclosure = enclosureId === undefined ? undefined : site.enclosures.get(enclosureId)
    const bay = enclosure && site.bays.get(enclosure.bayId)
    const room = bay && site.rooms.get(bay.roomId)
    return enclosure && bay && room ? `${room.name} · ${bay.name} · shelf ${enclosure.row + 1}` : 'no place'
  }
}

/** Everyone who lives here, with the words they can be found by. */
export function useFindable() {
  const site = useSite()
  const round = useRound()
  const placeName = usePlaceName()
  return computed<Findable[]>(() =>
    [...site.residents.values()].map((resident) => {
      const species = site.species.get(resident.sheet)
      return {
        resident,
        species: species?.common ?? resident.sheet,
        latin: species?.latin ?? '',
        place: placeName(round.homeOf(resident.id)),
      }
    }),
  )
}
