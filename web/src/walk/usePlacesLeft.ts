import { defineStore } from 'pinia'
import { useAfterPaint } from '../app/useAfterPaint.ts'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { perResident } from './perResident.ts'

export interface PlaceLeft {
  leaves: 'toClean' | 'toHold'
  residentId: string
}

/** Places somebody moved out of that wait to be cleaned, or for their old floor to be kept. */
export const usePlacesLeft = defineStore('placesLeft', () => {
  const site = useSite()
  const record = useRecord()
  const vacatedBy = perResident((residentId) => record.stateOf(residentId).vacated)
  const left = useAfterPaint(() => {
    const places = new Map<string, PlaceLeft>()
    for (const residentId of site.residents.keys())
      for (const { enclosure, leaves } of vacatedBy(residentId) ?? [])
        places.set(enclosure, { leaves, residentId })
    return places
  })
  return { left }
})
