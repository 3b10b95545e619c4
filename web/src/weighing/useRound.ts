import type { Task } from '@kobrin/core'
import { isToDo } from '@kobrin/core'
import { computed, shallowReactive } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useWalk } from '../walk/useWalk.ts'
import { words } from '../words/en.ts'
import { sayGrams } from '../words/measures.ts'
import { chosenToWeigh } from './chosenToWeigh.ts'
import { CHOSEN, DUE, roundOf } from './roundOf.ts'
import { t } from './words.ts'

export interface RoundLine {
  id: string
  name: string
  state: 'toDo' | 'done' | 'later' | 'held' | 'gone'
  /** What it weighed, or why it is not weighed. */
  says: string
}

/** Lines of one bay, in walking order. */
export interface RoundBay {
  label: string
  lines: RoundLine[]
}

interface Stand {
  id: string
  bay: string
}

/** The task of weighing somebody on a day; undefined where none stands in the plan or it is not due. */
export function weighTask(tasks: readonly Task[]): Task | undefined {
  return tasks.find(({ duty, status }) => duty.does === 'weigh' && status !== 'notYet')
}

/** A round of weighing in walking order, and how far it has come. */
export function useRound() {
  const walk = useWalk()
  const site = useSite()
  const residents = useResidents()
  const record = useRecord()
  const today = useToday()
  const of = roundOf
  /** Put off in this round. */
  const later = shallowReactive(new Set<string>())

  const stands = computed<Stand[]>(() =>
    walk.stops.flatMap(({ room, faces }) =>
      faces.flatMap(({ bay, residents: here }) =>
        here.map((id) => ({ id, bay: t('bayIn', { room: room.name, bay: bay.name }) })),
      ),
    ),
  )

  function isDue({ id }: Stand): boolean {
    const task = weighTask(residents.dayOf(id).tasks)
    return task !== undefined && (isToDo(task) || task.status === 'done' || task.status === 'held')
  }

  const due = computed(() => stands.value.filter(isDue))
  const bays = computed(() => [...new Set(stands.value.map(({ bay }) => bay))])
  const chosen = chosenToWeigh

  /** One that was chosen and is in no bay any more is said to be gone. */
  const members = computed<Stand[]>(() => {
    if (of.value === DUE) return due.value
    if (of.value !== CHOSEN) return stands.value.filter(({ bay }) => bay === of.value)
    const wanted = new Set(chosen.value)
    const here = stands.value.filter(({ id }) => wanted.has(id))
    const found = new Set(here.map(({ id }) => id))
    return [...here, ...chosen.value.filter((id) => !found.has(id)).map((id) => ({ id, bay: t('nowhere') }))]
  })

  function lineOf({ id }: Stand): RoundLine {
    const name = residents.nameOf(id)
    if (!site.residents.has(id) || record.stateOf(id).stay.ended)
      return { id, name, state: 'gone', says: t('notHere') }
    const last = record.stateOf(id).growth.weights.at(-1)
    if (last?.day === today.day) return { id, name, state: 'done', says: sayGrams(last.grams) }
    const task = weighTask(residents.dayOf(id).tasks)
    if (task?.hold) return { id, name, state: 'held', says: words.hold[task.hold] }
    return later.has(id)
      ? { id, name, state: 'later', says: t('putOff') }
      : { id, name, state: 'toDo', says: '' }
  }

  const lines = computed(() => members.value.map((stand) => ({ bay: stand.bay, line: lineOf(stand) })))
  const inBays = computed<RoundBay[]>(() => {
    const groups: RoundBay[] = []
    for (const { bay, line } of lines.value) {
      const last = groups.at(-1)
      if (last?.label === bay) last.lines.push(line)
      else groups.push({ label: bay, lines: [line] })
    }
    return groups
  })
  const toDo = computed(() => lines.value.filter(({ line }) => line.state === 'toDo').length)
  const done = computed(() => lines.value.filter(({ line }) => line.state === 'done').length)

  /** The next one to weigh after somebody, from the beginning where nobody is left behind; null when all are. */
  function nextAfter(id: string | null): string | null {
    const all = lines.value.map(({ line }) => line)
    const from = all.findIndex((line) => line.id === id) + 1
    return [...all.slice(from), ...all.slice(0, from)].find(({ state }) => state === 'toDo')?.id ?? null
  }

  return { of, due, bays, chosen, inBays, lines, toDo, done, later, nextAfter }
}
