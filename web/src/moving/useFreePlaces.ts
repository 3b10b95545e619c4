import type { Enclosure } from '@kobrin/contract'
import type { Finding } from '@kobrin/core'
import { computed } from 'vue'
import type { Resident } from '../site/useSite.ts'
import { useSite } from '../site/useSite.ts'
import { useResidents } from '../residents/useResidents.ts'

/** Enclosures that stand empty, by the name of their place. */
export function useFreePlaces() {
  const site = useSite()
  const residents = useResidents()
  return computed(() =>
    site.standing
      .filter(({ id }) => !residents.isTaken(id))
      .map(({ id }) => ({ id, label: site.placeName(id) }))
      .sort((a, b) => a.label.localeCompare(b.label)),
  )
}

/** Places that stand empty, at the level somebody would be walked at there, each held against them. */
export function useHeldPlaces() {
  const site = useSite()
  const free = useFreePlaces()
  return (whom: Pick<Resident, 'barrier'>, findingsAt: (box: Enclosure) => Finding[]) =>
    free.value.flatMap(({ id, label }) => {
      const enclosure = site.enclosures.get(id)
      const barrier = site.placeOf(id, whom)?.barrier
      return enclosure && barrier !== undefined
        ? [{ id, label, barrier, findings: findingsAt(enclosure) }]
        : []
    })
}
