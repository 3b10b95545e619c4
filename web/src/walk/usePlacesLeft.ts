import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'

/** Places somebody moved out of that wait to be cleaned, or for their old floor to be kept. */
export const usePlacesLeft = defineStore('placesLeft', () => {
  const record = useRecord()
  return { left: computed(() => record.waitingPlaces) }
})
