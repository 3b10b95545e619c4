import type { HouseResident } from './resident.ts'
import type { Entry, EntryKind, Override, PlanRows, Register, Sheet } from '@kobrin/core'
import { civil, isPlan, planOf as planIn, signedFor, weekdayOf } from '@kobrin/core'
import type { Chance } from './chance.ts'
import { newAnimal } from './husbandry/animal.ts'
import { biologyOf } from './husbandry/biology.ts'
import type { Trouble } from './husbandry/trouble.ts'
import type { KeeperDay, Kept } from './husbandry/keeping.ts'
import { keepADay, newKept, record } from './husbandry/keeping.ts'
import { instantOf } from './siteDays.ts'

export interface Rota {
  /** Authors of the morning walk by weekday, and of the evening. */
  morning: readonly string[]
  evening: readonly string[]
}

export interface LifeOptions {
  residents: readonly HouseResident[]
  homes: ReadonlyMap<string, string>
  sheets: ReadonlyMap<string, Sheet>
  overrides: readonly { target: string; change: Override }[]
  schools: Readonly<Record<string, Record<string, string>>>
  zone: string
  days: number
  nowMs: number
  rota: Rota
  /** Who may record what; those who have the evening may record anything. */
  may: (author: string, kind: EntryKind) => boolean
  chance: Chance
  /** What is the matter with whom, by resident. */
  troubles?: ReadonlyMap<string, Trouble>
  /** Things that happen besides the walk: called for each resident and day, before the walk. */
  story?: (kept: Kept, today: KeeperDay) => void
}

const ROUND_STARTS = 7 * 60 + 30
const MINUTES_PER_RESIDENT = 0.55
/** How much of today's walk is behind us when the story stops. */
const DONE_TODAY = 0.4

/** The plan a resident lives under: that of the last day, all along. */
function planOf({ id, ...register }: HouseResident, rows: PlanRows, day: number) {
  const plan = planIn(rows, { id, register }, day)
  if (!isPlan(plan)) throw new Error(`${register.name}: ${JSON.stringify(plan)}`)
  return plan
}

function arrive(kept: Kept, register: Register, home: string, today: KeeperDay): void {
  const subject = kept.residentId
  const ms = today.at(today.minute)
  record(
    kept,
    { subject, kind: 'registered', payload: { ...register, colony: kept.plan.lives === 'colony' } },
    today.evening,
    ms - 60_000,
    today,
  )
  record(kept, { subject, kind: 'arrived', payload: { enclosure: home } }, today.author, ms, today)
}

/** Lives through the days up to now and returns what was recorded, in the order it was recorded. */
export function live(options: LifeOptions): Entry[] {
  const { residents, homes, zone, days, nowMs, rota, may, chance, story } = options
  const now = civil(nowMs, zone)
  const firstDay = now.day - days
  const registers = new Map(residents.map(({ id, ...register }) => [id, register]))
  const rows: PlanRows = {
    sheets: options.sheets,
    schools: options.schools,
    overrides: signedFor(options.overrides),
  }
  const kept = residents.map((resident, index) => {
    // Some were here from the start; the rest came one by one.
    const came = index % 5 === 0 ? firstDay + chance.whole(0, Math.max(0, days - 30)) : firstDay
    // Nobody is on record before it hatched.
    const since = Math.min(now.day - 1, Math.max(came, resident.hatchedOn ?? came))
    const trouble = options.troubles?.get(resident.id) ?? null
    const animal = newAnimal(biologyOf(resident.sheet, resident.stage), since, chance, trouble)
    const lives = { residentId: resident.id, home: homes.get(resident.id) ?? '' }
    return newKept(lives, planOf(resident, rows, now.day), animal, since)
  })
  for (let day = firstDay; day <= now.day; day += 1) {
    const weekday = weekdayOf(day)
    const isToday = day === now.day
    const starts = isToday ? Math.max(0, Math.min(ROUND_STARTS, now.minute - 60)) : ROUND_STARTS
    const roundMinutes = residents.length * MINUTES_PER_RESIDENT
    const midnight = instantOf(day, 0, zone)
    const endOfStory = isToday ? midnight + (starts + roundMinutes * DONE_TODAY) * 60_000 : Infinity
    for (const [index, one] of kept.entries()) {
      if (day < one.since) continue
      const today: KeeperDay = {
        day,
        weekend: weekday > 5,
        at: (minute) => midnight + minute * 60_000,
        author: rota.morning[(weekday + Math.floor(index / 40)) % rota.morning.length] ?? '',
        evening: rota.evening[weekday % rota.evening.length] ?? '',
        may,
        minute: starts + index * MINUTES_PER_RESIDENT,
        until: Math.min(nowMs - 60_000, endOfStory),
        chance,
      }
      const register = registers.get(one.residentId)
      if (day === one.since && register) arrive(one, register, one.home, today)
      story?.(one, today)
      keepADay(one, today)
    }
  }
  return kept
    .flatMap(({ history }) => history)
    .sort((a, b) =>
      a.occurredAt < b.occurredAt ? -1 : a.occurredAt > b.occurredAt ? 1 : a.uid < b.uid ? -1 : 1,
    )
}
