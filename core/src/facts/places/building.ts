import type { Barrier, Place } from './place.ts'

/** A building as far as a walk needs it: rooms in walking order, bays in them, boxes on their shelves. */
export interface Building {
  rooms: ReadonlyMap<string, { id: string; order: number; barrier: Barrier }>
  bays: ReadonlyMap<string, { id: string; roomId: string; order: number; barrier: Barrier | null }>
  enclosures: ReadonlyMap<string, { id: string; bayId: string; row: number; column: number }>
}

/** The level of a bay: its own word where it has one, but never below a room that is shut off, nor is a
 * bay that is shut off ever below itself. */
export function levelOfBay(room: Barrier, bay: Barrier | null): Barrier {
  if (bay === null) return room
  return room > 1 && room > bay ? room : bay
}

/** The level at which a resident is walked: the stricter of its place and its own. */
export function levelOf(place: Barrier, own: Barrier | null): Barrier {
  return own !== null && own > place ? own : place
}

/** Where an enclosure stands, at the level at which a resident in it is walked; null when no such
 * enclosure stands in the building. */
export function placeIn(
  { rooms, bays, enclosures }: Building,
  enclosureId: string | undefined,
  own: Barrier | null,
): Place | null {
  const enclosure = enclosureId === undefined ? undefined : enclosures.get(enclosureId)
  const bay = enclosure && bays.get(enclosure.bayId)
  const room = bay && rooms.get(bay.roomId)
  if (!enclosure || !bay || !room) return null
  return {
    room: room.id,
    roomOrder: room.order,
    bay: bay.id,
    bayOrder: bay.order,
    row: enclosure.row,
    column: enclosure.column,
    barrier: levelOf(levelOfBay(room.barrier, bay.barrier), own),
  }
}
