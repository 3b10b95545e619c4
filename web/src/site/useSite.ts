import type { Bay, Enclosure, Person, Resident, Room, Site, Species } from '@kobrin/contract'
import type { Barrier, Place, Plan } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { api } from '../wire/api.ts'

function byId<T extends { id: string }>(list: readonly T[] | undefined): Map<string, T> {
  return new Map((list ?? []).map((item) => [item.id, item]))
}

/** The building, its residents and people, and the plans in force. */
export const useSite = defineStore('site', () => {
  const site = shallowRef<Site | null>(null)
  /** How far this device's clock is behind the server's, milliseconds. */
  const clockBehind = shallowRef(0)

  const rooms = computed(() => byId<Room>(site.value?.rooms))
  const bays = computed(() => byId<Bay>(site.value?.bays))
  const enclosures = computed(() => byId<Enclosure>(site.value?.enclosures))
  const residents = computed(() => byId<Resident>(site.value?.residents))
  const species = computed(() => byId<Species>(site.value?.species))
  const people = computed(() => byId<Person>(site.value?.people))

  async function load(): Promise<void> {
    const asked = Date.now()
    const fresh = await api.site()
    // The server looked at its clock somewhere on the way: half-way is wrong by the least.
    clockBehind.value = Math.round(fresh.now - (asked + Date.now()) / 2)
    site.value = fresh
  }

  function planOf(resident: Resident): Plan {
    const plan = site.value?.plans[resident.plan]
    if (!plan) throw new Error(`${resident.name} has no plan.`)
    return plan
  }

  /** Where an enclosure stands, at the strictest level of room, bay and resident. */
  function placeOf(enclosureId: string | undefined, resident: Resident): Place | null {
    const enclosure = enclosureId === undefined ? undefined : enclosures.value.get(enclosureId)
    const bay = enclosure && bays.value.get(enclosure.bayId)
    const room = bay && rooms.value.get(bay.roomId)
    if (!enclosure || !bay || !room) return null
    const barrier = resident.barrier ?? bay.barrier ?? room.barrier
    return {
      room: room.id,
      roomOrder: room.order,
      bay: bay.id,
      bayOrder: bay.order,
      row: enclosure.row,
      column: enclosure.column,
      barrier: barrier satisfies Barrier,
    }
  }

  /** "Tar Room · Bay 2, north wall · shelf 1" */
  function placeName(enclosureId: string | undefined): string {
    const enclosure = enclosureId === undefined ? undefined : enclosures.value.get(enclosureId)
    const bay = enclosure && bays.value.get(enclosure.bayId)
    const room = bay && rooms.value.get(bay.roomId)
    if (!enclosure || !bay || !room) return 'no place'
    return `${room.name} · ${bay.name} · shelf ${enclosure.row + 1}, place ${enclosure.column + 1}`
  }

  function initialsOf(personId: string): string {
    return people.value.get(personId)?.initials ?? '?'
  }

  function nameOf(personId: string): string {
    return people.value.get(personId)?.name ?? 'somebody'
  }

  return {
    site,
    clockBehind,
    rooms,
    bays,
    enclosures,
    residents,
    species,
    people,
    load,
    planOf,
    placeOf,
    placeName,
    initialsOf,
    nameOf,
  }
})
