import type { Duty } from '../../plans/plan/duty.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Task } from '../walk/task.ts'
import type { KeptFloor } from './keptFloor.ts'
import type { FloorRule } from '../../plans/lots/floorRule.ts'
import { USUALLY_KEPT } from '../../plans/lots/floorRule.ts'

const FLOOR = 'floor:'

/** The lot a check duty is about, or null. */
export function lotOf({ id }: Pick<Duty, 'id'>): string | null {
  return id.startsWith(FLOOR) ? id.slice(FLOOR.length) : null
}

export function floorRule(plan: Plan): FloorRule {
  return plan.heldFloor ?? USUALLY_KEPT
}

function floorTask({ lot, floor }: KeptFloor, plan: Plan, day: Day): Task {
  const { checkEvery } = floorRule(plan)
  const source = fromSheet(plan)
  const cadence = { type: 'every', days: checkEvery, tolerance: 1 } as const
  const { lastLook, where } = floor
  const dueOn = (lastLook?.day ?? floor.day) + checkEvery
  const over = day - dueOn
  const duty: Duty = { id: `${FLOOR}${lot}`, does: 'check', cadence, people: 1, minutes: 5, source }
  const status = lastLook?.day === day ? 'done' : over < 0 ? 'notYet' : over > 1 ? 'late' : 'due'
  const late = status === 'late'
  return {
    duty,
    keptAt: where,
    status,
    dueOn,
    daysOver: late ? over : 0,
    lateness: late ? over / checkEvery : 0,
    ...(status === 'done' && lastLook && { done: { at: lastLook.at, by: lastLook.by, uid: lastLook.uid } }),
    because: [
      { fact: 'floorKept', day: floor.day, by: floor.by, where },
      ...(lastLook ? [{ fact: 'lastDone', duty: duty.id, day: lastLook.day, by: lastLook.by } as const] : []),
      { rule: 'heldFloor', ...floorRule(plan) },
      { source },
    ],
  }
}

/** A look into each floor that was put aside, as tasks on the walk. */
export function floorTasks(floors: readonly KeptFloor[], plan: Plan, day: Day): Task[] {
  return floors.map((floor) => floorTask(floor, plan, day))
}
