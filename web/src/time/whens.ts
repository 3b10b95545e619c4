import type { Civil } from '@kobrin/core'

/** Eight in the morning and seven in the evening: the times people mean by those words. */
const MORNING = 8 * 60
const EVENING = 19 * 60

/** The moments that are meant most often when something is written down later. */
export function usualWhens(now: Civil): { morning: Civil | null; evening: Civil } {
  return {
    morning: now.minute > MORNING ? { day: now.day, minute: MORNING } : null,
    evening: { day: now.day - 1, minute: EVENING },
  }
}

export function isSameMoment(a: Civil | null, b: Civil | null): boolean {
  return a?.day === b?.day && a?.minute === b?.minute
}

/** Whether a moment is still to come. */
export function isToCome(moment: Civil, now: Civil): boolean {
  return moment.day > now.day || (moment.day === now.day && moment.minute > now.minute)
}
