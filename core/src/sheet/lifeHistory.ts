import { z } from 'zod'
import { BodyPart } from '../growth/growthState.ts'
import { ShownBy } from '../health/shownBy.ts'
import { Severity } from '../health/severity.ts'
import { positiveRange, range } from './range.ts'

/** Size and span of a grown animal. */
export const Adult = z.strictObject({
  part: BodyPart.optional(),
  mm: positiveRange.optional(),
  grams: positiveRange.optional(),
  years: positiveRange.optional(),
})

/** Days between sheds or molts by stage: the middle eight of ten. */
export const Ecdysis = z.strictObject({
  what: z.enum(['shed', 'molt']),
  days: z.record(z.string(), positiveRange),
  note: z.string().optional(),
})

export const Breeding = z.strictObject({
  bears: z.enum(['eggs', 'young', 'splits']),
  /** Eggs or young at a time. */
  clutch: positiveRange.optional(),
  /** Days between clutches. */
  intervalDays: positiveRange.optional(),
  /** Temperatures and how long eggs take at each. */
  incubation: z.array(z.strictObject({ celsius: z.number(), days: positiveRange })).optional(),
  /** How long each stage lasts: egg, larva, pupa … */
  stageDays: z.record(z.string(), positiveRange).optional(),
  caution: z.string().optional(),
})

export const Growth = z.strictObject({
  /** Days from hatching to adult size. */
  adultDays: positiveRange,
  note: z.string().optional(),
})

export const HealthSign = z.strictObject({
  sign: z.string().min(1),
  severity: Severity,
  /** What to do first; 'call the vet now' goes with every urgent one. */
  first: z.string().optional(),
  /** The fact of the record that shows it. */
  shownBy: ShownBy.optional(),
  /** The stages it is a sign at; all of them when not given. Moths die after they have laid. */
  stages: z.array(z.string()).min(1).optional(),
})

export const Together = z.strictObject({
  rule: z.enum(['alone', 'pairs', 'groups', 'colony']),
  note: z.string().min(1),
})

/** The tasks around setting an enclosure up. */
export const Setup = z.strictObject({
  before: z.array(z.string().min(1)).default([]),
  daily: z.array(z.string().min(1)).default([]),
  weekly: z.array(z.string().min(1)).default([]),
})

/** How long the old floor of a colony is kept for what hides in it. */
export const HeldFloor = z.strictObject({
  days: z.int().positive(),
  checkEvery: z.int().positive(),
  hides: z.string().min(1),
  /** It need not be frozen before it goes: nothing in it could live outside of the house. */
  harmlessOutside: z.boolean().optional(),
})
export type HeldFloor = z.infer<typeof HeldFloor>

/** A floor by parts of volume. */
export const FloorRecipe = z.strictObject({
  parts: z.array(z.strictObject({ material: z.string(), parts: z.number().positive() })).min(1),
  depthMm: range.optional(),
  note: z.string().optional(),
})
