import type { Bay, Enclosure, Room } from '@kobrin/contract'
import type { Barrier, Place } from '@kobrin/core'
import { levelOfBay } from '@kobrin/core'
import { grouped } from '../residents/grouped.ts'

/** A box on a shelf with who lives in it. */
export interface Box {
  enclosureId: string
  widthMm: number
  residents: string[]
}

export interface Face {
  bay: Bay
  shelves: Box[][]
  residents: string[]
}

/** One room at one barrier level. */
export interface WalkStop {
  key: string
  room: Room
  barrier: Barrier
  /** Named apart when the room is met again at another level. */
  title: string
  faces: Face[]
  residents: string[]
}

export interface Placed {
  resident: string
  place: Place
  enclosureId: string
}

/** What a stop is drawn from. */
export interface Standing {
  rooms: ReadonlyMap<string, Room>
  bays: ReadonlyMap<string, Bay>
  /** The boxes of a bay, shelf by shelf from the left. */
  boxes: ReadonlyMap<string, readonly Enclosure[]>
  isTaken: (enclosureId: string) => boolean
}

/** The boxes of every bay, shelf by shelf from the left. */
export function boxesOfBays(enclosures: Iterable<Enclosure>): Map<string, Enclosure[]> {
  const boxes = grouped(enclosures, ({ bayId }) => bayId)
  for (const inBay of boxes.values()) inBay.sort((a, b) => a.row - b.row || a.column - b.column)
  return boxes
}

function shelvesOf(bay: Bay, barrier: Barrier, here: readonly Placed[], standing: Standing): Box[][] {
  const living = grouped(here, ({ enclosureId }) => enclosureId)
  const room = standing.rooms.get(bay.roomId)
  const usual = room && levelOfBay(room.barrier, bay.barrier)
  const rows: Box[][] = []
  for (const { id, row, widthMm } of standing.boxes.get(bay.id) ?? []) {
    const residents = living.get(id)?.map(({ resident }) => resident) ?? []
    // Another level's boxes stand in the same bay, but are seen to on another pass.
    if (residents.length === 0 && (usual !== barrier || standing.isTaken(id))) continue
    ;(rows[row] ??= []).push({ enclosureId: id, widthMm, residents })
  }
  return rows.filter(Boolean)
}

function stopOf(key: string, here: readonly Placed[], standing: Standing): WalkStop[] {
  const [first] = here
  const room = first && standing.rooms.get(first.place.room)
  if (!first || !room) return []
  const { barrier } = first.place
  const faces = [...grouped(here, ({ place }) => place.bay)].flatMap(([bayId, inBay]): Face[] => {
    const bay = standing.bays.get(bayId)
    if (!bay) return []
    const shelves = shelvesOf(bay, barrier, inBay, standing)
    return [{ bay, shelves, residents: shelves.flat().flatMap(({ residents }) => residents) }]
  })
  const [only] = faces
  const apart =
    barrier !== room.barrier && only && faces.length === 1 ? `, ${only.bay.name.toLowerCase()}` : ''
  const residents = faces.flatMap((face) => face.residents)
  return [{ key, room, barrier, title: `${room.name}${apart}`, faces, residents }]
}

/** One room at one level each, in the order in which `placed` comes to them. */
export function stopsOf(placed: readonly Placed[], standing: Standing): WalkStop[] {
  const groups = grouped(placed, ({ place }) => `${place.barrier} ${place.room}`)
  return [...groups].flatMap(([key, here]) => stopOf(key, here, standing))
}
