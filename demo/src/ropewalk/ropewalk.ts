import type { SeedPerson, SiteSeed } from '@kobrin/contract'
import type { Override, Sheet } from '@kobrin/core'
import { civil, mayRecord } from '@kobrin/core'
import type { HouseResident } from '../resident.ts'
import { createChance } from '../chance.ts'
import { live } from '../live.ts'
import { moveIn } from '../moveIn.ts'
import { BUILDING } from './building.ts'
import { NAMES } from './names.ts'
import { demoPassphrase, STAFF } from './staff.ts'
import { movesOf, storiesOf, tellStories } from './stories.ts'
import { troublesOf } from './troubles.ts'

export const ROPEWALK = 'The Ropewalk'
export const ROPEWALK_ZONE = 'Europe/London'

/** A made-up house with those who live in it, as they were put on record. */
export interface House extends SiteSeed {
  residents: HouseResident[]
}

export interface RopewalkOptions {
  sheets: readonly Sheet[]
  nowMs: number
  seed?: number
  /** Days of history. */
  days?: number
}

/** The Ropewalk with its history up to now. The same seed and moment make the same site. */
export function ropewalk({ sheets, nowMs, seed = 1787, days = 548 }: RopewalkOptions): House {
  const chance = createChance(seed)
  const { day: today } = civil(nowMs, ROPEWALK_ZONE)
  const start = { day: today - days, ms: nowMs - days * 86_400_000, today }
  const bySheet = new Map(sheets.map((sheet) => [sheet.id, sheet]))
  const people: SeedPerson[] = STAFF.map((person) => ({
    ...person,
    id: chance.uid(start.ms),
    passphrase: demoPassphrase(person.login),
  }))
  const roleOf = new Map(people.map(({ id, role }) => [id, role]))
  const idOf = Object.fromEntries(people.map(({ login, id }) => [login, id]))
  const { homes, ...housed } = moveIn(BUILDING, bySheet, NAMES, start, chance)
  const schools = { 'crested-gecko': { misting: 'mist' }, 'royal-python': { humidity: 'dampHide' } }
  const overrides = signedChanges(housed.residents, idOf, today)
  const { moves, formerHomes } = movesOf(housed, homes, idOf)
  const rota = {
    morning: ['lotte', 'priya', 'kelechi', 'tomas', 'lotte', 'sam', 'priya'].map(
      (login) => idOf[login] ?? '',
    ),
    evening: ['tomas', 'kelechi', 'priya'].map((login) => idOf[login] ?? ''),
  }
  const stories = new Map([...storiesOf(housed.residents, today, idOf, () => chance.uid(start.ms)), ...moves])
  const entries = live({
    residents: housed.residents,
    homes: new Map([...homes, ...formerHomes]),
    sheets: bySheet,
    overrides,
    schools,
    zone: ROPEWALK_ZONE,
    days,
    nowMs,
    rota,
    may: (author, kind) => mayRecord(roleOf.get(author) ?? 'reader', kind),
    chance,
    troubles: troublesOf(housed.residents, today),
    story: tellStories(stories, today),
  })
  return {
    name: ROPEWALK,
    zone: ROPEWALK_ZONE,
    schools,
    ...housed,
    people,
    sheets: [...sheets],
    overrides,
    entries,
  }
}

function signedChanges(
  residents: readonly HouseResident[],
  idOf: Readonly<Record<string, string>>,
  today: number,
): { target: string; change: Override }[] {
  const of = (sheet: string) => residents.find((one) => one.sheet === sheet && one.stage === 'adult')?.id
  const signed = (target: string | undefined, change: Override) => (target ? [{ target, change }] : [])
  return [
    ...signed(of('royal-python'), {
      patch: { id: 'feed', cadence: { type: 'every', days: 18, tolerance: 2 } },
      by: idOf['kelechi'] ?? '',
      on: today - 60,
      until: today + 120,
      reason: 'Was fat; longer between meals until its condition is right.',
    }),
    ...signed(of('leopard-gecko'), {
      patch: { id: 'weigh', cadence: { type: 'every', days: 14, tolerance: 2 } },
      by: idOf['tomas'] ?? '',
      on: today - 1,
      until: today + 60,
      reason: 'Tail thinner than last month: weigh it every second week.',
    }),
  ]
}
