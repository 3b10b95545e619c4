import * as z from 'zod/mini'
import { KEEPERS_AND_VET } from '../people/role.ts'
import { residentKind, withDone } from '../residents/residentKind.ts'
import type { WeightReading } from './growthState.ts'
import { WeightContext, weightReading } from './growthState.ts'
import { about, confirmed, duty, word } from '../subjects/values.ts'

/** Monthly weights of two years at least, and all of the last year, which is judged by its best. */
const LEAST_KEPT = 24
const MOST_KEPT = 120
const KEPT_DAYS = 400

function inOrder(weights: readonly WeightReading[]): WeightReading[] {
  // Stable: weighings of one day stay in the order in which they were told.
  return [...weights].sort((a, b) => a.day - b.day)
}

function lately(weights: readonly WeightReading[]): WeightReading[] {
  const newest = weights.at(-1)?.day ?? 0
  const old = weights.findIndex(({ day }) => day > newest - KEPT_DAYS)
  const kept = Math.min(MOST_KEPT, Math.max(LEAST_KEPT, weights.length - old))
  return weights.slice(-kept)
}

const payload = z.strictObject({
  duty,
  grams: z.number().check(z.positive(), z.maximum(1_000_000)),
  about,
  confirmed,
  /** Kept, and not believed until another one agrees. */
  doubted: z.optional(z.literal(true)),
  context: z.optional(z.array(WeightContext).check(z.maxLength(3))),
  /** What it sat in, whose weight was taken off. */
  tub: z.optional(z.strictObject({ label: word(40), grams: z.number().check(z.positive()) })),
})

export const weighed = residentKind({
  payload,
  recordedBy: KEEPERS_AND_VET,
  fold(state, fact) {
    const { duty: answered = 'weigh' } = fact.payload
    const reading = weightReading(fact)
    return {
      ...withDone(state, answered, fact),
      growth: { ...state.growth, weights: lately(inOrder([...state.growth.weights, reading])) },
    }
  },
})
