import type { Verdict } from '@kobrin/core'

/** Whether what to do next has to be read at once, and not only when somebody asks why. */
export function isPressing({ severity }: Verdict): boolean {
  return severity === 'act' || severity === 'urgent'
}
