import type { Verdict } from '@kobrin/core'
import { placeVerdicts } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useResidents } from '../residents/useResidents.ts'
import { words } from '../words/en.ts'

/** What an enclosure waits for. */
export interface PlaceVerdict {
  enclosureId: string
  verdict: Verdict
}

/** Places somebody moved out of that wait to be cleaned, or for their old floor to be kept. */
export const usePlacesLeft = defineStore('placesLeft', () => {
  const record = useRecord()
  const residents = useResidents()

  function verdictsOf(enclosureId: string): Verdict[] {
    return placeVerdicts(record.placeState(enclosureId), residents.isTaken(enclosureId))
  }

  const left = computed(() => record.waitingPlaces)
  const open = computed(() =>
    [...left.value.keys()].flatMap((enclosureId) =>
      verdictsOf(enclosureId).map((verdict): PlaceVerdict => ({ enclosureId, verdict })),
    ),
  )
  /** Whom a box was left by, and how: "Gaff died". */
  function leftBy(enclosureId: string): string {
    const waits = left.value.get(enclosureId)
    if (!waits) return ''
    const { ended } = record.stateOf(waits.resident).stay
    // Who moved out of here and died elsewhere later did not die here.
    const how = ended && ended.at <= waits.at ? ended.how : 'moved'
    return `${residents.nameOf(waits.resident)} ${words.went[how]}`
  }

  return { left, open, verdictsOf, leftBy }
})
