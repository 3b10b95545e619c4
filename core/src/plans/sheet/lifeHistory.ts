import * as z from 'zod/mini'
import { BodyPart } from '../../facts/growth/growthState.ts'
import { ShownBy } from '../../facts/health/shownBy.ts'
import { Severity } from '../../facts/health/severity.ts'
import { Season } from '../../basics/time/season.ts'
import { positiveRange, range } from '../../basics/range.ts'

/** Size and span of a grown animal. */
export const Adult = z.strictObject({
  part: z.optional(BodyPart),
  mm: z.optional(positiveRange),
  grams: z.optional(positiveRange),
  years: z.optional(positiveRange),
})

const likelihood = z.number().check(z.minimum(1), z.maximum(1000))

/** How much likelier a sign makes it that the skin comes off within the days such a sign usually lasts. */
export const SignEvidence = z.strictObject({
  dull: likelihood,
  inBlue: likelihood,
  premolt: likelihood,
  sealedIn: likelihood,
  refusing: likelihood,
})
export type SignEvidence = z.infer<typeof SignEvidence>

/** What signs tell where a sheet does not say it better. */
const USUAL_SIGNS: SignEvidence = { dull: 4, inBlue: 30, premolt: 8, sealedIn: 10, refusing: 2 }

/** Days between sheds or molts by stage: the middle eight of ten. */
export const Ecdysis = z.strictObject({
  what: z.enum(['shed', 'molt']),
  days: z.record(z.string(), positiveRange),
  signs: z.optional(z.partial(SignEvidence)),
  /** It eats what came off: that nobody found a skin says nothing. */
  eaten: z.optional(z.boolean()),
  note: z.optional(z.string()),
})

export type Ecdysis = z.infer<typeof Ecdysis>

export function signEvidenceOf({ signs = {} }: Pick<Ecdysis, 'signs'>): SignEvidence {
  const { dull, inBlue, premolt, sealedIn, refusing } = USUAL_SIGNS
  return {
    dull: signs.dull ?? dull,
    inBlue: signs.inBlue ?? inBlue,
    premolt: signs.premolt ?? premolt,
    sealedIn: signs.sealedIn ?? sealedIn,
    refusing: signs.refusing ?? refusing,
  }
}

export const Breeding = z.strictObject({
  bears: z.enum(['eggs', 'young', 'splits']),
  /** Eggs or young at a time. */
  clutch: z.optional(positiveRange),
  /** Days between clutches. */
  intervalDays: z.optional(positiveRange),
  /** Temperatures and how long eggs take at each. */
  incubation: z.optional(z.array(z.strictObject({ celsius: z.number(), days: positiveRange }))),
  /** How long each stage lasts: egg, larva, pupa … */
  stageDays: z.optional(z.record(z.string(), positiveRange)),
  caution: z.optional(z.string()),
})

export const Growth = z.strictObject({
  /** Days from hatching to adult size. */
  adultDays: positiveRange,
  note: z.optional(z.string()),
})

/** A time of the year in which those of a sex or a stage may eat nothing although nothing is wrong. */
export const SeasonalFast = z.strictObject({
  season: Season,
  sex: z.optional(z.enum(['male', 'female'])),
  /** Where none is named, only the last: a young one that fasts is ill. */
  stages: z.optional(z.array(z.string()).check(z.minLength(1))),
  /** The fast of those that rest through the winter: kept warm, nothing explains it. */
  withRest: z.optional(z.literal(true)),
  why: z.string().check(z.minLength(1)),
})
export type SeasonalFast = z.infer<typeof SeasonalFast>

export const HealthSign = z.strictObject({
  sign: z.string().check(z.minLength(1)),
  severity: Severity,
  /** What to do first; 'call the vet now' goes with every urgent one. */
  first: z.optional(z.string()),
  /** The fact of the record that shows it. */
  shownBy: z.optional(ShownBy),
  /** The stages it is a sign at; all of them when not given. Moths die after they have laid. */
  stages: z.optional(z.array(z.string()).check(z.minLength(1))),
})

export const Together = z.strictObject({
  rule: z.enum(['alone', 'pairs', 'groups', 'colony']),
  note: z.string().check(z.minLength(1)),
})

/** The tasks around setting an enclosure up. */
export const Setup = z.strictObject({
  before: z._default(z.array(z.string().check(z.minLength(1))), []),
  daily: z._default(z.array(z.string().check(z.minLength(1))), []),
  weekly: z._default(z.array(z.string().check(z.minLength(1))), []),
})

/** How long the old floor of a colony is kept for what hides in it. */
export const HeldFloor = z.strictObject({
  days: z.int().check(z.positive()),
  checkEvery: z.int().check(z.positive()),
  hides: z.string().check(z.minLength(1)),
  /** It need not be frozen before it goes: nothing in it could live outside of the house. */
  harmlessOutside: z.optional(z.boolean()),
})
export type HeldFloor = z.infer<typeof HeldFloor>

/** A floor by parts of volume. */
export const FloorRecipe = z.strictObject({
  parts: z
    .array(z.strictObject({ material: z.string(), parts: z.number().check(z.positive()) }))
    .check(z.minLength(1)),
  depthMm: z.optional(range),
  note: z.optional(z.string()),
})
