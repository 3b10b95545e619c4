import type { KeptFloor, ResidentState } from '../fold/residentState.ts'
import type { Duty } from '../plan/duty.ts'
import type { Plan } from '../plan/plan.ts'
import type { HeldFloor } from '../sheet/lifeHistory.ts'
import type { Day } from '../time/day.ts'
import type { Task } from '../walk/task.ts'

const FLOOR = 'floor:'

/** Where a sheet says nothing: kept six weeks, looked into every week. */
const USUAL: HeldFloor = { days: 42, checkEvery: 7, hides: 'young and eggs' }

/** The floor a check duty is about, or null. */
export function floorOf({ id }: Pick<Duty, 'id'>): string | null {
  return id.startsWith(FLOOR) ? id.slice(FLOOR.length) : null
}

export function floorRule(plan: Plan): HeldFloor {
  return plan.heldFloor ?? USUAL
}

/** The day old floor may be thrown away: where something lived in it, the time runs anew from then. */
export function releasedFrom(floor: KeptFloor, plan: Plan): Day {
  return (floor.foundOn ?? floor.day) + floorRule(plan).days
}

function floorTask(floor: KeptFloor, plan: Plan, day: Day): Task {
  const { checkEvery } = floorRule(plan)
  const source = { from: 'sheet', sheet: plan.sheet, stage: plan.stage } as const
  const cadence = { type: 'every', days: checkEvery, tolerance: 1 } as const
  const { lastLook } = floor
  const dueOn = (lastLook?.day ?? floor.day) + checkEvery
  const over = day - dueOn
  const duty: Duty = {
    id: `${FLOOR}${floor.uid}`,
    does: 'check',
    label: `Old floor, ${floor.place}`,
    cadence,
    people: 1,
    minutes: 5,
    source,
  }
  const status = lastLook?.day === day ? 'done' : over < 0 ? 'notYet' : over > 1 ? 'late' : 'due'
  const late = status === 'late'
  return {
    duty,
    status,
    dueOn,
    daysOver: late ? over : 0,
    lateness: late ? over / checkEvery : 0,
    ...(status === 'done' && lastLook && { done: { at: lastLook.at, by: lastLook.by, uid: lastLook.uid } }),
    because: [
      { fact: 'floorHeld', day: floor.day, by: floor.by, place: floor.place },
      ...(lastLook ? [{ fact: 'lastDone', duty: duty.id, day: lastLook.day, by: lastLook.by } as const] : []),
      { rule: 'heldFloor', ...floorRule(plan) },
      { source },
    ],
  }
}

/** A look into each floor that was put aside, as tasks on the walk. */
export function floorTasks(state: ResidentState, plan: Plan, day: Day): Task[] {
  return (state.floors ?? []).map((floor) => floorTask(floor, plan, day))
}
