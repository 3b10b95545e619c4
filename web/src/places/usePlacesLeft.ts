import type { Verdict } from '@kobrin/core'
import { placeVerdicts } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useRound } from '../walk/useRound.ts'

/** What an enclosure waits for. */
export interface PlaceMatter {
  enclosureId: string
  verdict: Verdict
}

/** Places somebody moved out of that wait to be cleaned, or for their old floor to be kept. */
export const usePlacesLeft = defineStore('placesLeft', () => {
  const record = useRecord()
  const round = useRound()

  function mattersOf(enclosureId: string): Verdict[] {
    return placeVerdicts(record.placeState(enclosureId), round.takenBoxes.has(enclosureId))
  }

  const left = computed(() => record.waitingPlaces)
  const open = computed(() =>
    [...left.value.keys()].flatMap((enclosureId) =>
      mattersOf(enclosureId).map((verdict): PlaceMatter => ({ enclosureId, verdict })),
    ),
  )
  return { left, open, mattersOf }
})
