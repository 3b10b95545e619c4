import type { DutyKind, Task, TaskStatus } from '@kobrin/core'
import { dutyName } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { sayAll } from '../words/sayAll.ts'
import { t } from './words.ts'

/** Duties of one kind in one state that ask the same of the hand: on a box they are one mark with a number. */
export interface Mark {
  key: string
  does: DutyKind
  /** A second letter, where the hand does something else than the kind's usual. */
  sign: string
  status: TaskStatus
  /** Of the one that is most days over. */
  daysOver: number
  names: readonly string[]
  /** How those that are done were done. */
  done: readonly NonNullable<Task['done']>[]
}

const STATES: readonly TaskStatus[] = ['late', 'due', 'held', 'open', 'done']

/** A duty that goes by its kind is the kind's usual; any other is told apart by its own name. */
export function signOf({ duty: { id, does, label = '' } }: Pick<Task, 'duty'>): string {
  return id === does ? '' : label.charAt(0).toUpperCase()
}

/** The marks of a box, in the order in which their first duty stands in the plan. */
export function marksOf(tasks: readonly Task[]): Mark[] {
  const marks = new Map<string, Mark>()
  for (const task of tasks) {
    const { status, daysOver, done } = task
    if (status === 'notYet') continue
    const { does } = task.duty
    const sign = signOf(task)
    const key = `${does} ${status} ${sign}`
    const before = marks.get(key)
    marks.set(key, {
      key,
      does,
      sign,
      status,
      daysOver: Math.max(before?.daysOver ?? 0, daysOver),
      names: [...(before?.names ?? []), dutyName(task)],
      done: [...(before?.done ?? []), ...(done ? [done] : [])],
    })
  }
  return [...marks.values()]
}

/** "Late: Feed. Due today: Look, Fresh water. Done by Lotte Verhaege: Spot-clean." For anyone who hears a box rather
 * than sees it. */
export function sayMarks(marks: readonly Mark[], who: (person: string) => string): string {
  return STATES.flatMap((state) => {
    const those = marks.filter(({ status }) => status === state)
    if (those.length === 0) return []
    const names = those.flatMap((mark) => mark.names).join(', ')
    const doers = new Set(those.flatMap((mark) => mark.done.map(({ by }) => by)))
    const by = sayAll([...doers].map(who))
    const says = words.status[state]
    const shown = { state: `${says.charAt(0).toUpperCase()}${says.slice(1)}`, names }
    return by ? t('marksDoneBy', { ...shown, by }) : t('marksIn', shown)
  }).join(' ')
}
