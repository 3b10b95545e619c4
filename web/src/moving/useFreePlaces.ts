import type { Enclosure } from '@kobrin/contract'
import type { Finding } from '@kobrin/core'
import { computed } from 'vue'
import type { Resident } from '../site/useSite.ts'
import { useSite } from '../site/useSite.ts'
import { useResidents } from '../residents/useResidents.ts'
import { t } from './words.ts'

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

/** Whom places are held against; of a newcomer there is no identity yet. */
type Whom = Pick<Resident, 'barrier' | 'sheet'> & { id?: string }

/** Places that stand empty, then those where its own kind lives and bears company, at the level somebody would be
 * walked at there, each held against them. */
export function useHeldPlaces() {
  const site = useSite()
  const residents = useResidents()
  const free = useFreePlaces()

  /** Boxes in which only others of its kind live; none where the sheet says alone, or says nothing. */
  function shared({ id, sheet }: Whom): { id: string; label: string }[] {
    const rule = site.species.get(sheet)?.together?.rule
    if (rule === undefined || rule === 'alone') return []
    return site.standing.flatMap((box) => {
      const there = residents.livingIn(box.id)
      if (there.length === 0 || !there.every((one) => one.sheet === sheet && one.id !== id)) return []
      const names = there.map(({ name }) => name).join(', ')
      return [{ id: box.id, label: t('placeWith', { place: site.placeName(box.id), names }) }]
    })
  }

  return (whom: Whom, findingsAt: (box: Enclosure) => Finding[]) =>
    [...free.value, ...shared(whom)].flatMap(({ id, label }) => {
      const enclosure = site.enclosures.get(id)
      const barrier = site.placeOf(id, whom)?.barrier
      return enclosure && barrier !== undefined
        ? [{ id, label, barrier, findings: findingsAt(enclosure) }]
        : []
    })
}
