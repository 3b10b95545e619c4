import type { Cadence } from '../../plans/plan/cadence.ts'
import type { Day } from '../../basics/time/day.ts'
import { weekdayOf } from '../../basics/time/day.ts'

export interface DuenessFacts {
  day: Day
  /** When the duty was last done; for feeding, the last meal rather than the last offer. */
  lastDone: Day | null
  /** Since when the duty has existed for this resident; a duty never done falls due then. */
  since: Day
  /** For `after`: the day of the last such event. */
  eventDay?: Day | null
  /** For `whenEmpty`: the bowl was found empty and not refilled on this day. */
  emptySince?: Day | null
  /** Not to be done again before this day (an offer was refused lately). */
  notBefore?: Day | null
}

export interface Dueness {
  status: 'notYet' | 'open' | 'due' | 'late'
  /** The day it falls due; null when nothing makes it due. */
  dueOn: Day | null
  /** Days past the day it fell due; 0 unless late. */
  daysOver: number
  /** Days over divided by the interval; 0 unless late. */
  lateness: number
}

const NEVER: Dueness = { status: 'notYet', dueOn: null, daysOver: 0, lateness: 0 }

/** Open from `tolerance` days before the due day, due until `tolerance` days after it, then late. */
function judged(day: Day, dueOn: Day, interval: number, tolerance: number): Dueness {
  if (day < dueOn) {
    return { status: day >= dueOn - tolerance ? 'open' : 'notYet', dueOn, daysOver: 0, lateness: 0 }
  }
  if (day <= dueOn + tolerance) return { status: 'due', dueOn, daysOver: 0, lateness: 0 }
  return { status: 'late', dueOn, daysOver: day - dueOn, lateness: (day - dueOn) / interval }
}

/** Fixed days: each occurrence stands for itself. One that was missed is due, then late,
 * until the next one takes its place. */
function scheduled(facts: DuenessFacts, tolerance: number, falls: (day: Day) => boolean): Dueness {
  const { day, lastDone, since, notBefore } = facts
  const before = (from: Day): Day => {
    let at = from - 1
    while (at > from - 8 && !falls(at)) at -= 1
    return at
  }
  const after = (from: Day): Day => {
    let at = from + 1
    while (!falls(at)) at += 1
    return at
  }
  // Done inside its tolerance before its day, and not for the one before it, it is done.
  const isDone = (on: Day) =>
    lastDone !== null && (lastDone >= on || (lastDone >= on - tolerance && lastDone > before(on)))
  const current = falls(day) ? day : before(day)
  const next = after(day)
  const missed = falls(current) && current >= since && !isDone(current)
  if (!missed || (notBefore != null && day < notBefore)) {
    const open = isDone(next) ? after(next) : next
    const dueOn = Math.max(open, notBefore ?? open)
    const isOpen = dueOn === next && day >= next - tolerance && next >= since
    return { status: isOpen ? 'open' : 'notYet', dueOn, daysOver: 0, lateness: 0 }
  }
  return judged(day, current, next - current, tolerance)
}

/** Whether an evenly spread pattern of n days in every 7 falls on a day: exactly n of any
 * 7 days in a row do. */
export function fallsInWeek(day: Day, times: number, phase: number): boolean {
  const step = (at: number) => Math.floor(((at + phase) * times) / 7)
  return step(day + 1) > step(day)
}

/** Where a duty of a cadence stands on a day. */
export function dueness(cadence: Cadence, facts: DuenessFacts): Dueness {
  const { day, lastDone, since, notBefore } = facts
  switch (cadence.type) {
    case 'every': {
      const byInterval = lastDone === null ? since : lastDone + cadence.days
      const dueOn = Math.max(byInterval, notBefore ?? byInterval)
      // Food refused yesterday is not offered before its day, however wide the window is.
      if (notBefore != null && day < notBefore) return { ...NEVER, dueOn }
      return judged(day, dueOn, cadence.days, cadence.tolerance)
    }
    case 'weekdays': {
      const on = cadence.on
      return scheduled(facts, cadence.tolerance, (at) => on.includes(weekdayOf(at)))
    }
    case 'perWeek': {
      const { times, phase } = cadence
      return scheduled(facts, cadence.tolerance, (at) => fallsInWeek(at, times, phase))
    }
    case 'whenEmpty': {
      const byLook = lastDone === null ? since : lastDone + cadence.lookEvery
      const dueOn = facts.emptySince != null ? Math.min(facts.emptySince, byLook) : byLook
      return judged(day, dueOn, cadence.lookEvery, cadence.tolerance)
    }
    case 'once':
      return lastDone !== null ? NEVER : judged(day, cadence.day, 1, 0)
    case 'after': {
      const { eventDay } = facts
      if (eventDay == null || (lastDone !== null && lastDone >= eventDay)) return NEVER
      return judged(day, eventDay + cadence.days, Math.max(cadence.days, 1), cadence.tolerance)
    }
  }
}
