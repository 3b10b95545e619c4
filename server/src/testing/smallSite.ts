import type { SeedPerson, SiteSeed } from '@kobrin/contract'
import type { Draft, Entry, Register, Role } from '@kobrin/core'
import { dayFromIso, emptyBuild, ROLES } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { readLibrary } from '../library/readLibrary.ts'

const SHEET = 'leopard-gecko'
const RESIDENTS = 12

export const PASSPHRASE = 'a long enough phrase'
export const PIN = '4711'
export const ZONE = 'Europe/London'

export interface SmallSite extends SiteSeed {
  residents: { id: string }[]
  /** Somebody of each role; the first of each is named after it. */
  person: (role: Role) => SeedPerson
}

/** Somebody who may be put on record there. */
export function newcomer(name: string): Register {
  return {
    name,
    sheet: SHEET,
    stage: 'adult',
    count: null,
    sex: 'unknown',
    hatchedOn: null,
    barrier: null,
    schools: {},
  }
}

/** One room with twelve geckos, somebody of every role, and no history but the arrivals. */
export function smallSite(): SmallSite {
  const room = { id: uuidv7(), name: 'Room', order: 1, barrier: 1 as const, celsius: null }
  const bay = { id: uuidv7(), roomId: room.id, name: 'Bay', order: 1, barrier: null }
  const enclosures = Array.from({ length: RESIDENTS + 1 }, (_, column) => ({
    id: uuidv7(),
    bayId: bay.id,
    row: 0,
    column,
    widthMm: 600,
    depthMm: 400,
    heightMm: 400,
    build: emptyBuild(),
  }))
  const residents = Array.from({ length: RESIDENTS }, () => ({ id: uuidv7() }))
  const people = ROLES.map((role): SeedPerson => ({
    id: uuidv7(),
    login: role.toLowerCase(),
    name: `A ${role}`,
    initials: role.slice(0, 2).toUpperCase(),
    role,
    passphrase: PASSPHRASE,
    pin: role === 'reader' ? null : PIN,
    competences: [],
  }))
  const [curator] = people
  const by = (draft: Draft, at: string) => entryBy(curator?.id ?? '', draft, at)
  const newcomers = residents.flatMap(({ id }, index) => [
    by(
      { subject: id, kind: 'registered', payload: newcomer(`Gecko ${index + 1}`) },
      '2026-01-01T08:59:00.000Z',
    ),
    by(
      { subject: id, kind: 'arrived', payload: { enclosure: enclosures[index]?.id ?? '' } },
      '2026-01-01T09:00:00.000Z',
    ),
  ])
  return {
    name: 'Small site',
    zone: ZONE,
    schools: {},
    rooms: [room],
    bays: [bay],
    enclosures,
    residents,
    people,
    sheets: readLibrary().filter(({ id }) => id === SHEET),
    overrides: [],
    entries: newcomers,
    person: (role) => {
      const found = people.find((person) => person.role === role)
      if (!found) throw new Error(`Nobody is a ${role}.`)
      return found
    },
  }
}

/** An entry as somebody would make it. */
export function entryBy(author: string, draft: Draft, occurredAt: string, uid: string = uuidv7()): Entry {
  return { ...draft, uid, occurredAt, day: dayFromIso(occurredAt.slice(0, 10)), author }
}
