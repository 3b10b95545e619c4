import type { Bay, Enclosure, Me, Person, PlanBook, Room, Site } from '@kobrin/contract'
import type { Barrier } from '@kobrin/core'
import { emptyBuild } from '@kobrin/core'
import { sheetOf, TODAY } from './residents.ts'

/** Noon of the day the tests are on, in a site that keeps UTC. */
export const NOON = TODAY * 86_400_000 + 12 * 3_600_000

export const LOTTE: Person = {
  id: 'lotte',
  name: 'Lotte Verhaege',
  initials: 'LV',
  role: 'keeper',
  competences: [],
}

export const ME: Me = {
  person: LOTTE,
  device: { name: null, enrolled: false },
  shift: { id: 'shift', key: 'key' },
}

function roomOf(id: string, order: number, barrier: Barrier): Room {
  return { id, name: id, order, barrier, celsius: null }
}

function bayOf(id: string, roomId: string, order: number, barrier: Barrier | null = null): Bay {
  return { id, roomId, name: `Bay ${id}`, order, barrier, widthMm: null, version: 1 }
}

function boxOf(id: string, bayId: string, row: number, column: number): Enclosure {
  const size = { widthMm: 400, depthMm: 400, heightMm: 300 }
  return { id, bayId, row, column, ...size, build: emptyBuild(), retired: false }
}

/** Two rooms: the loft with two bays, one of them behind the quarantine barrier, and the nursery,
 * which comes last in the building and first on the walk. The last box of the first shelf is free. */
export function smallHouse(numbers: Record<string, string> = {}): Site {
  return {
    name: 'Small house',
    zone: 'UTC',
    rooms: [roomOf('Loft', 1, 1), roomOf('Nursery', 2, 0)],
    bays: [bayOf('A', 'Loft', 1), bayOf('B', 'Loft', 2, 2), bayOf('N', 'Nursery', 1)],
    enclosures: [
      boxOf('a1', 'A', 0, 0),
      boxOf('a2', 'A', 0, 1),
      boxOf('a3', 'A', 1, 0),
      boxOf('free', 'A', 0, 2),
      boxOf('b1', 'B', 0, 0),
      boxOf('n1', 'N', 0, 0),
    ],
    people: [LOTTE],
    numbers,
  }
}

/** The one sheet of the house, nothing chosen and nothing signed. */
export function smallBook(): PlanBook {
  return { sheets: [sheetOf()], schools: {}, overrides: [] }
}
