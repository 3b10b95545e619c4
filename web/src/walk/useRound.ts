import type { Bay, Room } from '@kobrin/contract'
import { may } from '@kobrin/contract'
import type { Barrier, Draft, Place, ResidentDay, Task, Verdict } from '@kobrin/core'
import {
  asPlanned,
  canBeAsPlanned,
  comparePlaced,
  countOf as countIn,
  isToDo,
  levelOfBay,
  mayRecord,
  residentDay,
} from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowReactive, shallowRef, watch } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useKeptFloors } from '../keptFloor/useKeptFloors.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import type { Resident } from '../site/useSite.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { words } from '../words/en.ts'
import { dutyName } from '../words/cell.ts'
import { perResident } from './perResident.ts'
import { useWhereabouts } from './useWhereabouts.ts'

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
export interface RoundStop {
  key: string
  room: Room
  barrier: Barrier
  /** Named apart when the room is met again at another level. */
  title: string
  faces: Face[]
  residents: string[]
}

interface Placed {
  resident: string
  place: Place
  enclosureId: string
}

/** Whatever is wrong with one resident is shown at that resident. */
const NO_PLAN: Verdict = { severity: 'act', what: { code: 'noPlan' }, because: [] }

/** Today's round: every resident's day, the stops in walking order, and what a touch does. */
export const useRound = defineStore('round', () => {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const keptFloors = useKeptFloors()
  const people = usePeople()
  const today = useToday()
  const focused = shallowRef<string | null>(null)
  /** The focused one again, reactive box by box: only the two that change are drawn anew. */
  const lit = shallowReactive(new Set<string>())
  watch(
    focused,
    (now, before) => {
      if (before) lit.delete(before)
      if (now) lit.add(now)
    },
    { flush: 'sync' },
  )
  const { stopKey, crossedTo } = useWhereabouts(() => `${people.person?.id ?? ''} ${today.day}`)

  const dayOf = perResident((residentId): ResidentDay => {
    const resident = site.residents.get(residentId)
    if (!resident) return { tasks: [], holds: [], verdicts: [], weight: null }
    const told = residentDay({
      day: today.day,
      minute: today.minute,
      plan: plans.planOf(resident),
      state: record.stateOf(residentId),
      floors: keptFloors.of(residentId),
    })
    return plans.hasPlan(resident) ? told : { ...told, verdicts: [NO_PLAN, ...told.verdicts] }
  })

  // A box changes far less often than a state: the building is drawn anew only when somebody moves.
  const homeOf = perResident((residentId) => record.stateOf(residentId).stay.place?.enclosure)

  const placed = computed<Placed[]>(() =>
    [...site.residents.values()]
      .flatMap((resident) => {
        const enclosureId = homeOf(resident.id)
        const place = site.placeOf(enclosureId, resident)
        return place && enclosureId !== undefined ? [{ resident: resident.id, place, enclosureId }] : []
      })
      .sort(comparePlaced),
  )

  function shelvesOf(bay: Bay, barrier: Barrier, here: readonly Placed[]): Box[][] {
    const living = new Map<string, string[]>()
    for (const { resident, enclosureId } of here) {
      living.set(enclosureId, [...(living.get(enclosureId) ?? []), resident])
    }
    const room = site.rooms.get(bay.roomId)
    const usual = room && levelOfBay(room.barrier, bay.barrier)
    const rows: Box[][] = []
    for (const { id, row, widthMm } of boxesOf.value.get(bay.id) ?? []) {
      const residents = living.get(id) ?? []
      // Another level's boxes stand in the same bay, but are seen to on another pass.
      if (residents.length === 0 && (usual !== barrier || takenBoxes.value.has(id))) continue
      ;(rows[row] ??= []).push({ enclosureId: id, widthMm, residents })
    }
    return rows.filter(Boolean)
  }

  const takenBoxes = computed(() => new Set(placed.value.map(({ enclosureId }) => enclosureId)))
  const boxesOf = computed(() => {
    const byBay = new Map<string, { id: string; row: number; column: number; widthMm: number }[]>()
    for (const box of site.enclosures.values()) {
      const list = byBay.get(box.bayId)
      if (list) list.push(box)
      else byBay.set(box.bayId, [box])
    }
    for (const list of byBay.values()) list.sort((a, b) => a.row - b.row || a.column - b.column)
    return byBay
  })

  function faceOf(bay: Bay, barrier: Barrier, here: readonly Placed[]): Face {
    const shelves = shelvesOf(bay, barrier, here)
    return { bay, shelves, residents: shelves.flat().flatMap(({ residents }) => residents) }
  }

  function stopOf(key: string, here: readonly Placed[]): RoundStop[] {
    const [first] = here
    const room = first && site.rooms.get(first.place.room)
    if (!first || !room) return []
    const { barrier } = first.place
    const bays = [...new Set(here.map(({ place }) => place.bay))].flatMap((id) => site.bays.get(id) ?? [])
    const faces = bays.map((bay) =>
      faceOf(
        bay,
        barrier,
        here.filter(({ place }) => place.bay === bay.id),
      ),
    )
    const [only] = bays
    const apart = barrier !== room.barrier && only && bays.length === 1 ? `, ${only.name.toLowerCase()}` : ''
    const residents = faces.flatMap((face) => face.residents)
    return [{ key, room, barrier, title: `${room.name}${apart}`, faces, residents }]
  }

  /** One room at one level each, in the order in which `placed` comes to them. */
  const stops = computed<RoundStop[]>(() => {
    const groups = new Map<string, Placed[]>()
    for (const one of placed.value) {
      const key = `${one.place.barrier} ${one.place.room}`
      const group = groups.get(key)
      if (group) group.push(one)
      else groups.set(key, [one])
    }
    return [...groups].flatMap(([key, here]) => stopOf(key, here))
  })

  const stop = computed(() => stops.value.find(({ key }) => key === stopKey.value) ?? stops.value[0] ?? null)

  function progress(residentIds: readonly string[]): { done: number; all: number } {
    let done = 0
    let all = 0
    for (const id of residentIds) {
      const { tasks } = dayOf(id)
      const toDo = tasks.some(isToDo)
      if (toDo || tasks.some(({ status }) => status === 'done')) all += 1
      if (!toDo && tasks.some(({ status }) => status === 'done')) done += 1
    }
    return { done, all }
  }

  function nameOf(residentId: string): string {
    return site.residents.get(residentId)?.name ?? ''
  }

  /** Animals in a colony: as last counted, else as it was put on record. */
  function countOf(residentId: string): number | null {
    return countIn(record.stateOf(residentId))
  }

  const mayWrite = computed(() => may(people.role, 'writeEntries'))

  function allowed(draft: Draft): boolean {
    return mayRecord(people.role, draft.kind)
  }

  function livingIn(enclosureId: string | undefined): Resident[] {
    return [...site.residents.values()].filter(({ id }) => homeOf(id) === enclosureId)
  }

  /** The box that would stand empty without them, where whoever is at work here may say so. */
  function boxLeftBy(residentId: string): string | null {
    const home = homeOf(residentId)
    if (home === undefined || !mayRecord(people.role, 'vacated')) return null
    return livingIn(home).length === 1 ? home : null
  }

  /** The entries one touch makes: everything due that needs no number. */
  function plannedDrafts(
    residentId: string,
    only?: (task: Task) => boolean,
  ): { drafts: Draft[]; says: string[] } {
    const drafts: Draft[] = []
    const says: string[] = []
    for (const task of dayOf(residentId).tasks) {
      if (!isToDo(task) || !canBeAsPlanned(task) || (only && !only(task))) continue
      const draft = asPlanned(residentId, task)
      if (!draft || !allowed(draft)) continue
      drafts.push(draft)
      says.push(task.duty.label ? dutyName(task).toLowerCase() : words.done[task.duty.does])
    }
    return { drafts, says }
  }

  function canTouch(residentId: string): boolean {
    return dayOf(residentId).tasks.some((task) => isToDo(task) && canBeAsPlanned(task))
  }

  /** Logs one resident as planned. False when nothing could be logged that way. */
  function touch(residentId: string): boolean {
    const { drafts, says } = plannedDrafts(residentId)
    if (drafts.length === 0) return false
    record.keep(drafts, `${nameOf(residentId)}: ${says.join(', ')}`)
    return true
  }

  /** Logs many at once, every duty or one kind. Returns how many residents. */
  function touchAll(residentIds: readonly string[], title: string, does?: Task['duty']['does']): number {
    const each = residentIds.map(
      (id) => plannedDrafts(id, does && ((task) => task.duty.does === does)).drafts,
    )
    const some = each.filter((drafts) => drafts.length > 0)
    if (some.length > 0) record.keep(some.flat(), `${title}: ${some.length} as planned`)
    return some.length
  }

  function toDoAfter(residentId: string | null): string | null {
    const here = stop.value?.residents ?? []
    const from = residentId === null ? 0 : here.indexOf(residentId) + 1
    const inOrder = [...here.slice(from), ...here.slice(0, from)]
    return inOrder.find((id) => dayOf(id).tasks.some(isToDo)) ?? null
  }

  return {
    isFocused: (residentId: string) => lit.has(residentId),
    stops,
    stop,
    stopKey,
    focused,
    crossedTo,
    mayWrite,
    dayOf,
    progress,
    nameOf,
    countOf,
    canTouch,
    touch,
    touchAll,
    toDoAfter,
    allowed,
    homeOf,
    livingIn,
    boxLeftBy,
    takenBoxes,
  }
})
