import type { Doubt, Draft } from '@kobrin/core'

/** A value that was looked at twice says so; that it was before the arrival is no value. */
export function confirmed(draft: Draft, { code }: Doubt): Draft {
  if (code === 'beforeArrival') return draft
  return { ...draft, payload: { ...draft.payload, confirmed: true } } as Draft
}
