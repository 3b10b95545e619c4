import * as z from 'zod/mini'

function ordered([low, high]: readonly [number, number]): boolean {
  return low <= high
}

const UNORDERED = 'the first number must not be above the second'

/** [low, high] of anything that may be below zero. */
export const anyRange = z.tuple([z.number(), z.number()]).check(z.refine(ordered, UNORDERED))

/** [low, high], nothing below zero. */
export const range = z
  .tuple([z.number().check(z.nonnegative()), z.number().check(z.nonnegative())])
  .check(z.refine(ordered, UNORDERED))

/** [low, high], both above zero. */
export const positiveRange = z
  .tuple([z.number().check(z.positive()), z.number().check(z.positive())])
  .check(z.refine(ordered, UNORDERED))

/** [low, high] hours of a day. */
export const hoursRange = z
  .tuple([z.number().check(z.minimum(0), z.maximum(24)), z.number().check(z.minimum(0), z.maximum(24))])
  .check(z.refine(ordered, UNORDERED))

export type Range = [number, number]
