import type { Draft } from '../../facts/entries/entry.ts'
import type { Fact } from '../../facts/subjects/families.ts'
import { reduce } from '../../facts/fold/reduce.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Day } from '../../basics/time/day.ts'
import { isoDay } from '../../basics/time/day.ts'
import { asPlanned } from '../walk/asPlanned.ts'
import { residentDay } from '../walk/residentDay.ts'
import type { Offering } from '../feeding/offeringOn.ts'
import type { Task } from '../walk/task.ts'
import { isToDo } from '../walk/task.ts'

/** What would be done for a resident on one day. */
export interface PlannedDay {
  day: Day
  tasks: { duty: string; does: Task['duty']['does']; label?: string; offering?: Offering }[]
}

const NOBODY = '00000000-0000-7000-8000-000000000000'

function factOf(draft: Draft, day: Day, number: number): Fact {
  const tail = `${String(day).padStart(8, '0')}${String(number).padStart(4, '0')}`
  return {
    ...draft,
    uid: `00000000-0000-7000-8000-${tail}`,
    // Late in the day, so that what was recorded this morning comes before.
    occurredAt: `${isoDay(day)}T23:${String(number % 60).padStart(2, '0')}:00.000Z`,
    day,
    author: NOBODY,
  } as Fact
}

/** Weighing and measuring cannot be foretold: they count as done with what is known. */
function doneOf(subject: string, task: Task, state: ResidentState): Draft | null {
  const duty = task.duty.id
  const grams = state.growth.weights.at(-1)?.grams
  if (task.duty.does === 'weigh' && grams !== undefined)
    return { subject, kind: 'weighed', payload: { duty, grams } }
  return asPlanned(subject, task)
}

/** The days ahead if everything is done on the day it falls due, as planned: what a change to a plan
 * would mean, before it is made. */
export function plannedDays(state: ResidentState, plan: Plan, from: Day, days: number): PlannedDay[] {
  let known = state
  return Array.from({ length: days }, (_, ahead): PlannedDay => {
    const day = from + ahead
    const due = residentDay({ day, plan, state: known }).tasks.filter(isToDo)
    due.forEach((task, number) => {
      const draft = doneOf(NOBODY, task, known)
      if (draft) known = reduce(known, factOf(draft, day, number))
    })
    return {
      day,
      tasks: due.map(({ duty, offering }) => ({
        duty: duty.id,
        does: duty.does,
        ...(duty.label !== undefined && { label: duty.label }),
        ...(offering && { offering }),
      })),
    }
  })
}
