import type { Day } from '../../basics/time/day.ts'

export interface DayLengthInput {
  /** The first day that is shorter. */
  startDay: Day
  summerHours: number
  winterHours: number
  /** Hours taken off, and later given back, at each step. */
  stepHours: number
  everyDays: number
  /** Full days at the winter length. */
  restDays: number
  /** Days without food before the first shorter day, so that nothing lies undigested in the cold. */
  fastDays: number
  /** Days at the summer length again before food is offered. */
  feedAfterDays: number
}

export type Phase = 'fast' | 'shortening' | 'rest' | 'lengthening' | 'awake'

/** From this day on the light burns so many hours. */
export interface LightStep {
  day: Day
  hours: number
  phase: Phase
}

export interface DayLengthPlan {
  steps: LightStep[]
  lastMealBefore: Day
  coolFrom: Day
  warmFrom: Day
  feedFrom: Day
}

function ramp(from: number, to: number, step: number): number[] {
  const count = Math.ceil(Math.abs(to - from) / step - 1e-9)
  const sign = Math.sign(to - from)
  return Array.from({ length: count }, (_, index) =>
    index === count - 1 ? to : from + sign * step * (index + 1),
  )
}

/** Day length down to winter in equal steps, a rest, and up again in reverse; the fast before it and the
 * first meal after. The last step of a ramp is whatever is left. Null when the winter day is not the
 * shorter one or a step leads nowhere. */
export function dayLengthPlan(input: DayLengthInput): DayLengthPlan | null {
  const { startDay, summerHours, winterHours, stepHours, everyDays, restDays, fastDays, feedAfterDays } =
    input
  if (winterHours >= summerHours || stepHours <= 0 || everyDays <= 0) return null
  const down = ramp(summerHours, winterHours, stepHours)
  const up = ramp(winterHours, summerHours, stepHours)
  const at = (from: Day, hours: readonly number[], phase: Phase, last: Phase): LightStep[] =>
    hours.map((value, index) => ({
      day: from + index * everyDays,
      hours: value,
      phase: index === hours.length - 1 ? last : phase,
    }))
  const warmFrom = startDay + (down.length - 1) * everyDays + restDays
  const backAt = warmFrom + (up.length - 1) * everyDays
  const steps: LightStep[] = [
    ...(fastDays > 0 ? [{ day: startDay - fastDays, hours: summerHours, phase: 'fast' as const }] : []),
    ...at(startDay, down, 'shortening', 'rest'),
    ...at(warmFrom, up, 'lengthening', 'awake'),
  ]
  return {
    steps,
    lastMealBefore: startDay - fastDays,
    coolFrom: startDay,
    warmFrom,
    feedFrom: backAt + feedAfterDays,
  }
}

/** Hours of light on a day: those of the last step taken, the summer length before the first. */
export function hoursOn({ steps }: DayLengthPlan, day: Day, summerHours: number): number {
  return steps.filter((step) => step.day <= day).at(-1)?.hours ?? summerHours
}

const A_DAY = 1440

/** When the timer switches, minutes of the wall clock since midnight, with the light's middle fixed. Light that burns
 * over midnight goes off before it goes on; light that is always on burns from 0 to 1440. */
export function switching(hours: number, middleMinute: number): { on: number; off: number } {
  if (hours >= 24) return { on: 0, off: A_DAY }
  const half = hours * 30
  const onTheClock = (minute: number) => (minute + A_DAY) % A_DAY
  return { on: onTheClock(middleMinute - half), off: onTheClock(middleMinute + half) || A_DAY }
}
