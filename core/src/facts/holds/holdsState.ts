import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'
import { HoldKind } from './holdKind.ts'

const day = z.number()

/** A hold as somebody said it. */
export const SaidHold = z.strictObject({
  hold: HoldKind,
  since: day,
  /** The first day on which it is over, where that was said. */
  until: z.nullable(day),
  reason: z.string(),
  by: z.string(),
  uid: z.string(),
  at: z.string(),
  /** The fact that ended it. */
  ended: z.nullable(Mark),
})
export type SaidHold = z.infer<typeof SaidHold>

/** A hold that is over: from the day it began to the day it ended. */
export interface PastHold {
  hold: HoldKind
  since: number
  until: number
}

export const HoldsState = z.strictObject({
  /** Said by people, oldest first. */
  said: z.array(SaidHold),
  /** When somebody last lifted one: what brought it about before that no longer counts. */
  lifted: z.partialRecord(HoldKind, Mark),
})
export type HoldsState = z.infer<typeof HoldsState>

export function nothingHeld(): HoldsState {
  return { said: [], lifted: {} }
}

/** The day on which it was over; null while nothing has ended it and no end was said. */
export function endOf({ until, ended }: SaidHold): number | null {
  if (ended && until !== null) return Math.min(ended.day, until)
  return ended?.day ?? until
}

/** Whether it stands on a day. */
export function standsOn(said: SaidHold, on: number): boolean {
  const end = endOf(said)
  return said.since <= on && (end === null || on < end)
}

/** What was said of a kind and stands on a day. */
export function saidOn({ said }: HoldsState, kind: HoldKind, on: number): SaidHold | undefined {
  return said.findLast((one) => one.hold === kind && standsOn(one, on))
}

/** Those that are over by a day, oldest first: what explains a weight or a fast of that time. */
export function pastHolds({ said }: HoldsState, on: number): PastHold[] {
  return said.flatMap((one) => {
    const until = endOf(one)
    return until === null || until > on ? [] : [{ hold: one.hold, since: one.since, until }]
  })
}

/** Those that are over by a day and those that stand on it: from the day each began to the day it ended, or to the day
 * after. */
export function spansOf({ said }: HoldsState, on: number): PastHold[] {
  return said.flatMap((one) =>
    one.since > on
      ? []
      : [{ hold: one.hold, since: one.since, until: Math.min(endOf(one) ?? on + 1, on + 1) }],
  )
}
