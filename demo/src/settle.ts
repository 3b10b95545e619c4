import type { Bay, Enclosure, Room } from '@kobrin/contract'
import type { HouseResident } from './resident.ts'
import type { Sheet } from '@kobrin/core'
import type { Chance } from './chance.ts'
import { furnish } from './furnish.ts'
import type { RoomPlan, Stand } from './ropewalk/building.ts'

export interface Settled {
  rooms: Room[]
  bays: Bay[]
  enclosures: Enclosure[]
  residents: HouseResident[]
  /** Enclosure of each resident, by resident id. */
  homes: Map<string, string>
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** What keepers call a colony when the first word of its common name will not do. */
const CALLED: Readonly<Record<string, string>> = {
  'feeder-crickets': 'Crickets',
  'feeder-roaches': 'Roaches',
  'land-snail': 'Snails',
  'giant-millipede': 'Millipedes',
  'whip-spider': 'Whips',
  'asian-forest-scorpion': 'Forest',
  'owl-butterfly': 'Owls',
  'harvester-ant': 'Ants',
}

/** Short enough for a label: "Powder C". */
function colonyName(sheet: Sheet, number: number): string {
  const letter = LETTERS[(number - 1) % LETTERS.length] ?? 'A'
  const round = Math.ceil(number / LETTERS.length)
  return `${CALLED[sheet.id] ?? sheet.common.split(' ')[0] ?? ''} ${letter}${round > 1 ? round : ''}`
}

/** The young hatched this year; the grown were here, grown, before the story begins. */
function hatchDay(stand: Stand, start: { day: number; today: number }, chance: Chance): number {
  const young = /hatchling|juvenile|nymph|caterpillars|founding/.test(stand.stage)
  return young ? start.today - chance.whole(60, 320) : start.day - chance.whole(700, 4000)
}

/** Puts rooms, bays, enclosures and residents where a plan of the building says. */
export function settle(
  building: readonly RoomPlan[],
  sheets: ReadonlyMap<string, Sheet>,
  names: readonly string[],
  start: { day: number; ms: number; today: number },
  chance: Chance,
): Settled {
  const settled: Settled = { rooms: [], bays: [], enclosures: [], residents: [], homes: new Map() }
  const colonies = new Map<string, number>()
  let single = 0

  function newResident(stand: Stand, sheet: Sheet): HouseResident {
    let name: string
    if (sheet.lives === 'colony') {
      const so = (colonies.get(sheet.id) ?? 0) + 1
      colonies.set(sheet.id, so)
      name = colonyName(sheet, so)
    } else {
      const round = Math.floor(single / names.length)
      name = `${names[single % names.length] ?? 'Nobody'}${round > 0 ? ` ${round + 1}` : ''}`
      single += 1
    }
    return {
      id: chance.uid(start.ms),
      name,
      sheet: sheet.id,
      stage: stand.stage,
      count: stand.headcount ? chance.whole(...stand.headcount) : null,
      sex: sheet.lives === 'colony' ? 'unknown' : chance.pick(['male', 'female', 'unknown'] as const),
      hatchedOn: sheet.lives === 'colony' ? null : hatchDay(stand, start, chance),
      barrier: null,
      schools: {},
    }
  }

  for (const [roomOrder, plan] of building.entries()) {
    const room: Room = {
      id: chance.uid(start.ms),
      name: plan.name,
      order: roomOrder + 1,
      barrier: plan.barrier,
      celsius: plan.celsius ?? null,
    }
    settled.rooms.push(room)
    for (const [bayOrder, bayPlan] of plan.bays.entries()) {
      const { name, barrier = null, heightMm, depthMm } = bayPlan
      const bay: Bay = { id: chance.uid(start.ms), roomId: room.id, name, order: bayOrder + 1, barrier }
      settled.bays.push(bay)
      for (const [row, shelf] of bayPlan.shelves.entries()) {
        let column = 0
        for (const stand of shelf) {
          const sheet = sheets.get(stand.sheet)
          if (!sheet) throw new Error(`No sheet ${stand.sheet} in the library.`)
          const { boxes, ready = 0, widthMm } = stand
          for (let slot = 0; slot < boxes + ready; slot += 1) {
            const id = chance.uid(start.ms)
            const box = { widthMm, heightMm, depthMm }
            const build = furnish(sheet, stand.stage, box, start.today, chance)
            settled.enclosures.push({ id, bayId: bay.id, row, column, ...box, build })
            column += 1
            if (slot >= boxes) continue
            const resident = newResident(stand, sheet)
            settled.residents.push(resident)
            settled.homes.set(resident.id, id)
          }
        }
      }
    }
  }
  return settled
}
