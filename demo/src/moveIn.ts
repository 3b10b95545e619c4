import type { Room, SiteSeed } from '@kobrin/contract'
import type { HouseResident } from './resident.ts'
import type { Sheet } from '@kobrin/core'
import type { Chance } from './chance.ts'
import { furnish } from './furnish.ts'
import type { BayPlan, RoomPlan, Stand } from './ropewalk/building.ts'

/** The first day of the story with its moment, and today. */
interface Start {
  day: number
  ms: number
  today: number
}

export interface Housed {
  rooms: Room[]
  bays: SiteSeed['bays']
  enclosures: SiteSeed['enclosures']
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
  'black-garden-ant': 'Garden ants',
  'ramshorn-snail': 'Ramshorns',
}

/** Short enough for a label: "Powder C". */
function colonyName(sheet: Sheet, number: number): string {
  const letter = LETTERS[(number - 1) % LETTERS.length] ?? 'A'
  const round = Math.ceil(number / LETTERS.length)
  return `${CALLED[sheet.id] ?? sheet.common.split(' ')[0] ?? ''} ${letter}${round > 1 ? round : ''}`
}

/** The young hatched this year; the grown were here, grown, before the story begins. */
function hatchDay(stand: Stand, start: Start, chance: Chance): number {
  const young = /hatchling|juvenile|nymph|caterpillars|founding/.test(stand.stage)
  return young ? start.today - chance.whole(60, 320) : start.day - chance.whole(700, 4000)
}

/** Names and describes those that move in, one after the other. */
function newcomers(names: readonly string[], start: Start, chance: Chance) {
  const colonies = new Map<string, number>()
  let single = 0

  function nameFor(sheet: Sheet): string {
    if (sheet.lives === 'colony') {
      const so = (colonies.get(sheet.id) ?? 0) + 1
      colonies.set(sheet.id, so)
      return colonyName(sheet, so)
    }
    const round = Math.floor(single / names.length)
    const name = `${names[single % names.length] ?? 'Nobody'}${round > 0 ? ` ${round + 1}` : ''}`
    single += 1
    return name
  }

  return (stand: Stand, sheet: Sheet): HouseResident => ({
    id: chance.uid(start.ms),
    name: nameFor(sheet),
    sheet: sheet.id,
    stage: stand.stage,
    count: stand.count ? chance.whole(...stand.count) : null,
    sex: sheet.lives === 'colony' ? 'unknown' : chance.pick(['male', 'female', 'unknown'] as const),
    hatchedOn: sheet.lives === 'colony' ? null : hatchDay(stand, start, chance),
    barrier: null,
    schools: {},
  })
}

/** Puts rooms, bays, enclosures and residents where a plan of the building says. */
export function moveIn(
  building: readonly RoomPlan[],
  sheets: ReadonlyMap<string, Sheet>,
  names: readonly string[],
  start: Start,
  chance: Chance,
): Housed {
  const housed: Housed = { rooms: [], bays: [], enclosures: [], residents: [], homes: new Map() }
  const newcomer = newcomers(names, start, chance)

  function fillShelf(
    shelf: readonly Stand[],
    row: number,
    bay: SiteSeed['bays'][number],
    plan: BayPlan,
  ): void {
    let column = 0
    for (const stand of shelf) {
      const sheet = sheets.get(stand.sheet)
      if (!sheet) throw new Error(`No sheet ${stand.sheet} in the library.`)
      const { boxes, ready = 0, widthMm } = stand
      for (let slot = 0; slot < boxes + ready; slot += 1, column += 1) {
        const id = chance.uid(start.ms)
        const box = { widthMm, heightMm: plan.heightMm, depthMm: plan.depthMm }
        const build = furnish(sheet, stand.stage, box, start.today, chance)
        housed.enclosures.push({ id, bayId: bay.id, row, column, ...box, build })
        if (slot >= boxes) continue
        const resident = newcomer(stand, sheet)
        housed.residents.push(resident)
        housed.homes.set(resident.id, id)
      }
    }
  }

  for (const [roomOrder, { name, barrier, celsius = null, bays }] of building.entries()) {
    const room: Room = { id: chance.uid(start.ms), name, order: roomOrder + 1, barrier, celsius }
    housed.rooms.push(room)
    for (const [bayOrder, plan] of bays.entries()) {
      const bay: SiteSeed['bays'][number] = {
        id: chance.uid(start.ms),
        roomId: room.id,
        name: plan.name,
        order: bayOrder + 1,
        barrier: plan.barrier ?? null,
      }
      housed.bays.push(bay)
      for (const [row, shelf] of plan.shelves.entries()) fillShelf(shelf, row, bay, plan)
    }
  }
  return housed
}
