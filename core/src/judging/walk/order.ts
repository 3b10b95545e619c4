import type { Place } from '../../facts/places/place.ts'

interface Placed {
  resident: string
  place: Place
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}

/** Rooms in the order of the walk: barrier first, so that nobody walks back down. */
export function compareRooms(a: Place, b: Place): number {
  return a.barrier - b.barrier || a.roomOrder - b.roomOrder || compareText(a.room, b.room)
}

/** The order of the walk: barrier, room, bay, shelf from the top, place from the left. */
export function comparePlaced(a: Placed, b: Placed): number {
  return (
    compareRooms(a.place, b.place) ||
    a.place.bayOrder - b.place.bayOrder ||
    compareText(a.place.bay, b.place.bay) ||
    a.place.row - b.place.row ||
    a.place.column - b.place.column ||
    compareText(a.resident, b.resident)
  )
}
