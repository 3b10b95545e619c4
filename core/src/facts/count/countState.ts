import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

/** Fewer were found than were expected, and so many of them are not accounted for yet. */
export const Shortfall = z.strictObject({
  ...Mark.shape,
  expected: z.number(),
  found: z.number(),
  open: z.number(),
})
export type Shortfall = z.infer<typeof Shortfall>

/** How many there are: one animal; so many, as of a day; or nobody knows, but at least so many. */
export const HowMany = z.discriminatedUnion('is', [
  z.strictObject({
    is: z.literal('one'),
    /** It was said; else it is only that nobody gave a number. */
    sure: z.optional(z.literal(true)),
  }),
  z.strictObject({
    is: z.literal('known'),
    count: z.number(),
    day: z.nullable(z.number()),
    /** Nobody counted to the last: about so many. */
    about: z.optional(z.literal(true)),
  }),
  z.strictObject({ is: z.literal('uncounted'), atLeast: z.number() }),
])
export type HowMany = z.infer<typeof HowMany>

export const CountState = z.strictObject({
  howMany: HowMany,
  /** Who is missing, by the shortfall that told it, oldest first. */
  shortfalls: z.array(Shortfall),
})
export type CountState = z.infer<typeof CountState>

export function nothingCounted(): CountState {
  return { howMany: { is: 'one' }, shortfalls: [] }
}

/** Missing and not accounted for, over all shortfalls. */
export function missingOf({ shortfalls }: Pick<CountState, 'shortfalls'>): number {
  return shortfalls.reduce((sum, { open }) => sum + open, 0)
}

/** Takes so many off those that are missing, the oldest shortfall first. Answers how many of them were none of the
 * missing as well. */
export function offMissing(
  shortfalls: readonly Shortfall[],
  many: number,
): { shortfalls: Shortfall[]; rest: number } {
  let rest = many
  const left = shortfalls.map((one) => {
    const taken = Math.min(one.open, rest)
    rest -= taken
    return { ...one, open: one.open - taken }
  })
  return { shortfalls: left.filter(({ open }) => open > 0), rest }
}
