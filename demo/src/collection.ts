import type { Sheet } from '@kobrin/core'
import { civil } from '@kobrin/core'
import { createChance } from './chance.ts'
import { live } from './live.ts'
import type { House } from './ropewalk/ropewalk.ts'
import type { RoomPlan } from './ropewalk/building.ts'
import { NAMES } from './ropewalk/names.ts'
import { demoPassphrase } from './ropewalk/staff.ts'
import { moveIn } from './moveIn.ts'

export interface CollectionOptions {
  sheets: readonly Sheet[]
  residents: number
  days: number
  nowMs: number
  seed?: number
}

const BOXES_PER_SHELF = 20
const SHELVES_PER_BAY = 15
const BAYS_PER_ROOM = 7
const ZONE = 'UTC'

/** A building of racks for any number of residents, species in turn. */
function racks(residents: number, sheets: readonly Sheet[]): RoomPlan[] {
  const perBay = BOXES_PER_SHELF * SHELVES_PER_BAY
  const bays = Array.from({ length: Math.ceil(residents / perBay) }, (_, bay) => ({
    name: `Rack ${bay + 1}`,
    heightMm: 250,
    depthMm: 300,
    shelves: Array.from(
      { length: Math.ceil(Math.min(perBay, residents - bay * perBay) / BOXES_PER_SHELF) },
      (__, row) => {
        const first = bay * perBay + row * BOXES_PER_SHELF
        return Array.from({ length: Math.min(BOXES_PER_SHELF, residents - first) }, (___, box) => {
          const sheet = sheets[(first + box) % sheets.length] as Sheet
          return { sheet: sheet.id, stage: sheet.stages.at(-1)?.id ?? '', boxes: 1, widthMm: 150 }
        })
      },
    ),
  }))
  return Array.from({ length: Math.ceil(bays.length / BAYS_PER_ROOM) }, (_, room) => ({
    name: `Hall ${room + 1}`,
    barrier: 1 as const,
    bays: bays.slice(room * BAYS_PER_ROOM, (room + 1) * BAYS_PER_ROOM),
  }))
}

/** A large collection of any size, for measuring. */
export function collection({ sheets, residents, days, nowMs, seed = 10_000 }: CollectionOptions): House {
  const chance = createChance(seed)
  const { day: today } = civil(nowMs, ZONE)
  const start = { day: today - days, ms: nowMs - days * 86_400_000, today }
  const bySheet = new Map(sheets.map((sheet) => [sheet.id, sheet]))
  const keeper = chance.uid(start.ms)
  const { homes, ...housed } = moveIn(racks(residents, sheets), bySheet, NAMES, start, chance)
  const entries = live({
    residents: housed.residents,
    homes,
    sheets: bySheet,
    overrides: [],
    schools: {},
    zone: ZONE,
    days,
    nowMs,
    rota: { morning: [keeper], evening: [keeper] },
    may: () => true,
    chance,
  })
  const person = {
    id: keeper,
    login: 'keeper',
    name: 'One Keeper',
    initials: 'OK',
    role: 'curator' as const,
    passphrase: demoPassphrase('keeper'),
    pin: null,
    competences: [],
  }
  return {
    name: 'Large collection',
    zone: ZONE,
    schools: {},
    ...housed,
    people: [person],
    sheets: [...sheets],
    overrides: [],
    entries,
  }
}
