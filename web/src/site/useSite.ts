import type { Bay, Enclosure, Person, PlanBook, Room, Site } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { Place, Register, Sheet } from '@kobrin/core'
import { placeIn } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { kept } from '../kept/keptStore.ts'
import { useRegister } from '../residents/useRegister.ts'
import { call } from '../api/call.ts'
import { t } from './words.ts'

/** Somebody who lives here: the register's line, the number, and whether it is one animal or a colony. */
export interface Resident extends Register {
  id: string
  /** Given out by the server; empty until it has heard of a newcomer. */
  accession: string
  lives: Sheet['lives']
}

function byId<T extends { id: string }>(list: readonly T[] | undefined): Map<string, T> {
  return new Map((list ?? []).map((item) => [item.id, item]))
}

function residentsFrom(
  register: ReadonlyMap<string, Register>,
  numbers: Readonly<Record<string, string>>,
  sheetOf: (id: string) => Sheet | undefined,
): Map<string, Resident> {
  const living = [...register].map(([id, line]): Resident => ({
    ...line,
    id,
    accession: numbers[id] ?? '',
    lives: sheetOf(line.sheet)?.lives ?? 'individual',
  }))
  living.sort((a, b) => (a.accession < b.accession ? -1 : a.accession > b.accession ? 1 : 0))
  return byId(living)
}

interface NamedBuilding {
  rooms: ReadonlyMap<string, Room>
  bays: ReadonlyMap<string, Bay>
  enclosures: ReadonlyMap<string, Enclosure>
}

/** "Tar Room · Bay 2, north wall · shelf 1, place 3" */
function sayPlace({ rooms, bays, enclosures }: NamedBuilding, enclosureId: string | undefined): string {
  const enclosure = enclosureId === undefined ? undefined : enclosures.get(enclosureId)
  const bay = enclosure && bays.get(enclosure.bayId)
  const room = bay && rooms.get(bay.roomId)
  if (!enclosure || !bay || !room) return t('noPlace')
  return t('shelfPlace', {
    name: room.name,
    name2: bay.name,
    row: enclosure.row + 1,
    column: enclosure.column + 1,
  })
}

/** The building, its residents and people, and what plans are made of. */
export const useSite = defineStore('site', () => {
  const register = useRegister()
  const site = shallowRef<Site | null>(null)
  const book = shallowRef<PlanBook | null>(null)
  /** How far this device's clock is behind the server's, milliseconds. */
  const clockBehind = shallowRef(0)

  const rooms = computed(() => byId<Room>(site.value?.rooms))
  const bays = computed(() => byId<Bay>(site.value?.bays))
  const enclosures = computed(() => byId<Enclosure>(site.value?.enclosures))
  /** Those that were not taken away. */
  const standing = computed(() => [...enclosures.value.values()].filter(({ retired }) => !retired))
  const species = computed(() => byId<Sheet>(book.value?.sheets))
  const people = computed(() => byId<Person>(site.value?.people))
  const building = computed(() => ({ rooms: rooms.value, bays: bays.value, enclosures: enclosures.value }))
  const residents = computed(() =>
    residentsFrom(register.lines, site.value?.numbers ?? {}, (sheet) => species.value.get(sheet)),
  )

  async function load(): Promise<void> {
    const [freshSite, freshBook] = await Promise.all([call(ROUTES.site), call(ROUTES.planBook)])
    site.value = freshSite
    book.value = freshBook
    void kept.keepThing('site', freshSite)
    void kept.keepThing('book', freshBook)
  }

  /** Takes up what lies on this device. False where it does not. */
  async function recall(): Promise<boolean> {
    const [keptSite, keptBook, behind] = await Promise.all([
      kept.thing('site'),
      kept.thing('book'),
      kept.thing('clockBehind'),
    ])
    if (!keptSite || !keptBook) return false
    site.value = keptSite
    book.value = keptBook
    clockBehind.value = behind ?? 0
    return true
  }

  /** Takes the server's clock as it was told on the way of an answer: half-way is wrong by the least. */
  function setClock(serverMs: number, askedMs: number, answeredMs: number): void {
    clockBehind.value = Math.round(serverMs - (askedMs + answeredMs) / 2)
    void kept.keepThing('clockBehind', clockBehind.value)
  }

  /** Where an enclosure stands, at the level at which the resident is walked. */
  function placeOf(enclosureId: string | undefined, resident: Pick<Resident, 'barrier'>): Place | null {
    return placeIn(building.value, enclosureId, resident.barrier)
  }

  function placeName(enclosureId: string | undefined): string {
    return sayPlace(building.value, enclosureId)
  }

  function initialsOf(personId: string): string {
    return people.value.get(personId)?.initials ?? '?'
  }

  function nameOf(personId: string): string {
    return people.value.get(personId)?.name ?? t('somebody')
  }

  return {
    site,
    book,
    clockBehind,
    building,
    rooms,
    bays,
    enclosures,
    standing,
    residents,
    species,
    people,
    load,
    recall,
    setClock,
    placeOf,
    placeName,
    initialsOf,
    nameOf,
  }
})
