import { computed } from 'vue'
import { useSite } from '../site/useSite.ts'
import { useRound } from '../walk/useRound.ts'

/** Enclosures that stand empty, by the name of their place. */
export function useFreePlaces() {
  const site = useSite()
  const round = useRound()
  return computed(() =>
    [...site.enclosures.values()]
      .filter(({ id }) => !round.takenBoxes.has(id))
      .map(({ id }) => ({ id, label: site.placeName(id) }))
      .sort((a, b) => a.label.localeCompare(b.label)),
  )
}
