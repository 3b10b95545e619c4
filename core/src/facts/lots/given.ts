import * as z from 'zod/mini'
import type { Happening, Touched } from '../subjects/kind.ts'
import { Mark, markOf } from '../subjects/mark.ts'
import { own } from '../subjects/own.ts'

/** What of a lot went one way: eaten, or taken out to live. Where each part went is read from the touches. */
export const Given = z.strictObject({
  /** How often, also where nobody said how much. */
  times: z.number(),
  pieces: z.number(),
  g: z.number(),
  animals: z.number(),
  last: Mark,
})
export type Given = z.infer<typeof Given>

const NOTHING = { times: 0, pieces: 0, g: 0, animals: 0 }

/** A lot of which some went one way more. A fact that says it in two units says it once. */
export function withGiven<S extends { given: Readonly<Record<string, Given>> }>(
  state: S,
  fact: Happening<Touched>,
): S {
  const { how, amount } = fact.payload
  const before = own(state.given, how) ?? { ...NOTHING, last: null }
  const given: Given = {
    ...before,
    times: before.times + (before.last?.uid === fact.uid ? 0 : 1),
    ...(amount && { [amount.unit]: before[amount.unit] + amount.value }),
    last: markOf(fact),
  }
  return { ...state, given: { ...state.given, [how]: given } }
}
