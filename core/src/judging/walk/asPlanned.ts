import type { Draft } from '../../facts/entries/entry.ts'
import type { FeedOutcome } from '../../facts/feeding/feedingState.ts'
import { lotOf } from '../lots/floorTasks.ts'
import type { Offering } from '../feeding/offeringOn.ts'
import { FULL_CLEAN } from '../../facts/cleaning/cleaned.ts'
import { boxKey } from '../places/boxDuties.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { DutyKind } from '../../plans/plan/duty.ts'
import type { Task } from './task.ts'

/** Whether only a number answers a kind of duty. */
export function needsNumber(does: DutyKind): boolean {
  return does === 'weigh' || does === 'measure' || does === 'read'
}

/** What one touch can say: everything whose outcome needs no number, and no look at what is left. */
export function canBeAsPlanned(task: Task): boolean {
  return !needsNumber(task.duty.does) && !task.nothingToOffer && !task.leftToFind
}

/** What one touch can say of many: a check is of one lock, one cable, one probe, and needs eyes on each. */
export function canBeForAll(task: Task): boolean {
  return canBeAsPlanned(task) && task.duty.does !== 'check'
}

/** A middle of a range that reads like a keeper's number: whole pieces, grams to a tenth. */
function pieces([low, high]: readonly [number, number]): number {
  return Math.max(1, Math.round((low + high) / 2))
}

function grams([low, high]: readonly [number, number]): number {
  return Math.max(0.1, Math.round((low + high) * 5) / 10)
}

/** The offer of a planned meal with its outcome. */
export function fedDraft(
  subject: string,
  task: Task,
  offering: Offering,
  outcome: FeedOutcome,
  why?: string,
): Draft {
  const { item, size, count, supplements } = offering
  return {
    subject,
    kind: 'fed',
    payload: {
      duty: task.duty.id,
      item,
      ...(size !== undefined && { size }),
      ...(count && { count: pieces(count) }),
      ...(offering.grams && { grams: grams(offering.grams) }),
      ...(supplements.length > 0 && { supplements }),
      outcome,
      ...(why !== undefined && { why }),
    },
  }
}

/** The box of a resident, for what is done to the box. */
export interface Home {
  enclosure: string
  plan: Pick<Plan, 'sheet'>
}

function tendedDraft({ enclosure, plan }: Home, { duty }: Task): Draft | null {
  const key = boxKey(duty, plan)
  const { does, litres } = duty
  if (key === null || (does !== 'water' && does !== 'clean' && does !== 'dampen' && does !== 'check'))
    return null
  const scope =
    does === 'clean' ? { scope: duty.id === FULL_CLEAN ? ('full' as const) : ('spot' as const) } : {}
  return {
    subject: enclosure,
    kind: 'tended',
    payload: { duty: key, does, ...scope, ...(litres !== undefined && { litres }) },
  }
}

/** The entry that says a task of a resident was done as planned: about the resident, its box, or the lot the task
 * is about. Null where a number or a food is needed first. */
export function asPlanned(subject: string, task: Task, home?: Home): Draft | null {
  if (task.leftToFind) return null
  const duty = task.duty.id
  const tended = home && lotOf(task.duty) === null ? tendedDraft(home, task) : null
  if (tended) return tended
  switch (task.duty.does) {
    case 'feed': {
      if (task.duty.cadence.type === 'whenEmpty') {
        // Looking was the plan, and there was still some; a bowl known to be empty was to be filled.
        const found = task.emptySince === undefined ? 'leftovers' : 'empty'
        return { subject, kind: 'bowl', payload: { duty, found, refilled: found === 'empty' } }
      }
      return task.offering ? fedDraft(subject, task, task.offering, 'taken') : null
    }
    case 'water': {
      const { litres } = task.duty
      return { subject, kind: 'watered', payload: { duty, ...(litres !== undefined && { litres }) } }
    }
    case 'clean':
      return { subject, kind: 'cleaned', payload: { duty, scope: duty === FULL_CLEAN ? 'full' : 'spot' } }
    case 'look':
      return { subject, kind: 'looked', payload: { duty, seen: true } }
    case 'dampen': {
      const { litres } = task.duty
      return { subject, kind: 'dampened', payload: { duty, ...(litres !== undefined && { litres }) } }
    }
    case 'check': {
      const lot = lotOf(task.duty)
      return lot === null
        ? { subject, kind: 'checked', payload: { duty } }
        : { subject: lot, kind: 'floorChecked', payload: { found: 'nothing' } }
    }
    case 'weigh':
    case 'measure':
    case 'read':
      return null
  }
}
