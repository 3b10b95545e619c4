import type { FeedOutcome } from '../../facts/feeding/feedingState.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Duty } from '../../plans/plan/duty.ts'
import type { TooLarge } from '../feeding/mealAmount.ts'
import type { Offering } from '../feeding/offeringOn.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Day } from '../../basics/time/day.ts'

export type TaskStatus = 'notYet' | 'open' | 'due' | 'late' | 'held' | 'done'

/** A duty of one resident on one day. */
export interface Task {
  duty: Duty
  status: TaskStatus
  dueOn: Day | null
  daysOver: number
  lateness: number
  /** Of a look into old floor: where it is kept. */
  keptAt?: string
  /** The hold that stops it, when held. */
  hold?: HoldKind
  /** The bowl was found empty on this day and waits to be filled. */
  emptySince?: Day
  /** Due today, but not before this minute of the day. */
  opensAtMinute?: number
  /** What to give today; when it was given, what to give if somebody insists on more. */
  offering?: Offering
  /** What the next meal will be, when it falls due within the days food is prepared ahead. */
  ahead?: Offering
  /** Nothing may be given today: every food is at its cap, too soon after itself, or too large. */
  nothingToOffer?: boolean
  /** Even the smallest on the list is too large, and what the sheet proposes instead. */
  tooLarge?: TooLarge & { item: string; instead: string[] }
  /** What was left to find under a feeding duty, when it was put in, and by when it comes out. */
  leftToFind?: { duty: string; item: string; at: string; outBy: string }
  done?: { at: string; by: string; uid: string; outcome?: FeedOutcome }
  because: Reason[]
}

/** A task that is still to do today. */
export function isToDo(task: Task): boolean {
  return task.status === 'due' || task.status === 'late'
}
