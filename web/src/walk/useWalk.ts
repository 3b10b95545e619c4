import type { DutyKind, Task } from '@kobrin/core'
import { comparePlaced, isToDo } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowReactive, shallowRef, watch } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import type { Placed, WalkStop } from './stops.ts'
import { boxesOfBays, stopsOf } from './stops.ts'
import { useWhereabouts } from './useWhereabouts.ts'

/** Today's walk: the stops in walking order, how far it has come, and where the eye is. */
export const useWalk = defineStore('walk', () => {
  const site = useSite()
  const residents = useResidents()
  const people = usePeople()
  const today = useToday()
  const { stopKey, crossedTo } = useWhereabouts({
    whose: () => people.person?.id ?? '',
    day: () => today.day,
  })

  const focused = shallowRef<string | null>(null)
  /** The focused one again, reactive box by box: only the two that change are drawn again. */
  const lit = shallowReactive(new Set<string>())
  watch(
    focused,
    (now, before) => {
      if (before) lit.delete(before)
      if (now) lit.add(now)
    },
    { flush: 'sync' },
  )

  const placed = computed<Placed[]>(() =>
    [...site.residents.values()]
      .flatMap((resident) => {
        const enclosureId = residents.homeOf(resident.id)
        const place = site.placeOf(enclosureId, resident)
        return place && enclosureId !== undefined ? [{ resident: resident.id, place, enclosureId }] : []
      })
      .sort(comparePlaced),
  )
  /** A box that was taken away while somebody moved in without a link is walked for as long as they live in it. */
  const boxes = computed(() =>
    boxesOfBays([...site.enclosures.values()].filter(({ id, retired }) => !retired || residents.isTaken(id))),
  )
  const stops = computed<WalkStop[]>(() =>
    stopsOf(placed.value, {
      rooms: site.rooms,
      bays: site.bays,
      boxes: boxes.value,
      isTaken: residents.isTaken,
    }),
  )
  const stop = computed(() => stops.value.find(({ key }) => key === stopKey.value) ?? stops.value[0] ?? null)

  function progress(residentIds: readonly string[]): { done: number; all: number } {
    let done = 0
    let all = 0
    for (const id of residentIds) {
      const { tasks } = residents.dayOf(id)
      const toDo = tasks.some(isToDo)
      if (toDo || tasks.some(({ status }) => status === 'done')) all += 1
      if (!toDo && tasks.some(({ status }) => status === 'done')) done += 1
    }
    return { done, all }
  }

  /** The next one here with something to do, or with a duty of that kind to do. */
  function toDoAfter(residentId: string | null, does?: DutyKind): string | null {
    const here = stop.value?.residents ?? []
    const from = residentId === null ? 0 : here.indexOf(residentId) + 1
    const inOrder = [...here.slice(from), ...here.slice(0, from)]
    const isMeant = (task: Task) => isToDo(task) && (does === undefined || task.duty.does === does)
    return inOrder.find((id) => residents.dayOf(id).tasks.some(isMeant)) ?? null
  }

  return {
    isFocused: (residentId: string) => lit.has(residentId),
    stops,
    stop,
    stopKey,
    focused,
    crossedTo,
    progress,
    toDoAfter,
  }
})
