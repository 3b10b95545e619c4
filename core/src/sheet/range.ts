import { z } from 'zod'

function ordered([low, high]: readonly [number, number]): boolean {
  return low <= high
}

const UNORDERED = 'the first number must not be above the second'

/** [low, high] of anything that may be below zero. */
export const anyRange = z.tuple([z.number(), z.number()]).refine(ordered, UNORDERED)

/** [low, high], nothing below zero. */
export const range = z.tuple([z.number().nonnegative(), z.number().nonnegative()]).refine(ordered, UNORDERED)

/** [low, high], both above zero. */
export const positiveRange = z
  .tuple([z.number().positive(), z.number().positive()])
  .refine(ordered, UNORDERED)

/** [low, high] hours of a day. */
export const hoursRange = z
  .tuple([z.number().min(0).max(24), z.number().min(0).max(24)])
  .refine(ordered, UNORDERED)

export type Range = [number, number]
