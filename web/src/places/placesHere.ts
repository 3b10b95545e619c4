import type { PlaceState, Readings } from '@kobrin/core'
import { emptyPlace } from '@kobrin/core'
import { shallowReactive } from 'vue'

/** What is believed of places on this device. */
export function placesHere() {
  /** Places that wait for something, by enclosure. */
  const waitingPlaces = shallowReactive(new Map<string, NonNullable<PlaceState['waits']>>())
  /** What was last read, by enclosure. */
  const readings = shallowReactive(new Map<string, Readings>())

  return {
    empty: emptyPlace(),
    believe(place: string, { waits, readings: read }: PlaceState): void {
      if (read) readings.set(place, read)
      else readings.delete(place)
      if (waits) waitingPlaces.set(place, waits)
      else waitingPlaces.delete(place)
    },
    shown: { waitingPlaces, readings },
  }
}
