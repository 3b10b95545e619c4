import type { Day } from '../../basics/time/day.ts'
import type { Offering } from '../feeding/offeringOn.ts'
import type { Task } from './task.ts'
import { isToDo } from './task.ts'
import { own } from '../../facts/subjects/own.ts'

export interface CarryItem {
  item: string
  size: string | null
  /** Pieces, where the amount is a count: [low, high] summed. */
  count: readonly [number, number]
  grams: readonly [number, number]
  /** Residents it is for. */
  meals: number
  supplements: Readonly<Record<string, number>>
}

/** Something to begin today for a meal on a later day. */
export interface AheadItem {
  do: 'thaw' | 'gutLoad'
  item: string
  size: string | null
  forDay: Day
  count: number
  grams: number
}

export interface Prep {
  carry: CarryItem[]
  ahead: AheadItem[]
  litres: number
  minutes: number
  /** Meals to be dusted, by supplement. */
  dusting: Readonly<Record<string, number>>
}

interface HasTasks {
  readonly tasks: readonly Task[]
}

const ZERO = [0, 0] as const

function plus(sum: readonly [number, number], more: readonly [number, number] = ZERO) {
  return [sum[0] + more[0], sum[1] + more[1]] as const
}

function counted(counts: Readonly<Record<string, number>>, names: readonly string[]) {
  return names.reduce((next, name) => ({ ...next, [name]: (own(next, name) ?? 0) + 1 }), counts)
}

function keyOf(offering: Offering): string {
  return `${offering.item} ${offering.size ?? ''}`
}

function carried(list: Map<string, CarryItem>, offering: Offering): void {
  const key = keyOf(offering)
  const before = list.get(key)
  list.set(key, {
    item: offering.item,
    size: offering.size ?? null,
    count: plus(before?.count ?? ZERO, offering.count),
    grams: plus(before?.grams ?? ZERO, offering.grams),
    meals: (before?.meals ?? 0) + 1,
    supplements: counted(before?.supplements ?? {}, offering.supplements),
  })
}

/** Days from now to a meal under preparation, when today is the day to begin it. */
function begins({ ahead, dueOn, duty }: Task, day: Day): AheadItem['do'] | null {
  if (!ahead || dueOn === null) return null
  const food = duty.foods?.find(({ item }) => item === ahead.item)
  const lead = Math.ceil(dueOn) - day
  if (food?.thawDays && food.thawDays === lead) return 'thaw'
  if (food?.gutLoadDays && food.gutLoadDays === lead) return 'gutLoad'
  return null
}

function begun(list: Map<string, AheadItem>, task: Task, act: AheadItem['do']): void {
  const { ahead: meal, dueOn } = task
  if (!meal || dueOn === null) return
  const key = `${act} ${keyOf(meal)} ${Math.ceil(dueOn)}`
  const before = list.get(key)
  list.set(key, {
    do: act,
    item: meal.item,
    size: meal.size ?? null,
    forDay: Math.ceil(dueOn),
    count: (before?.count ?? 0) + (meal.count?.[1] ?? 0),
    grams: (before?.grams ?? 0) + (meal.grams?.[1] ?? 0),
  })
}

/** What the rest of a walk needs: items by size summed over what is due or late, litres, dusting,
 * minutes, and what has to be taken out of the freezer or gut-loaded today for the days to come. */
export function prepFor(day: Day, visits: readonly HasTasks[]): Prep {
  const carry = new Map<string, CarryItem>()
  const ahead = new Map<string, AheadItem>()
  let litres = 0
  let minutes = 0
  let dusting: Readonly<Record<string, number>> = {}
  for (const { tasks } of visits) {
    for (const task of tasks) {
      if (isToDo(task)) {
        minutes += task.duty.minutes * task.duty.people
        litres += task.duty.litres ?? 0
        if (task.offering) {
          carried(carry, task.offering)
          if (task.offering.supplements.length) dusting = counted(dusting, task.offering.supplements)
        }
      }
      const act = begins(task, day)
      if (act) begun(ahead, task, act)
    }
  }
  const byMeals = (a: CarryItem, b: CarryItem) => b.meals - a.meals || (a.item < b.item ? -1 : 1)
  return {
    carry: [...carry.values()].sort(byMeals),
    ahead: [...ahead.values()].sort((a, b) => a.forDay - b.forDay || (a.item < b.item ? -1 : 1)),
    litres,
    minutes,
    dusting,
  }
}
