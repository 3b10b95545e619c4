import * as z from 'zod/mini'
import { BodyPart } from '../../facts/growth/growthState.ts'
import { HoldKind } from '../../facts/holds/holdKind.ts'
import { Quantity } from '../../facts/readings/quantity.ts'
import { Cadence } from './cadence.ts'
import { Effect } from './effect.ts'
import { Source } from './source.ts'

export const DutyKind = z.enum([
  'feed',
  'water',
  'clean',
  'weigh',
  'measure',
  'look',
  'dampen',
  'check',
  'read',
])
export type DutyKind = z.infer<typeof DutyKind>

const range = z.tuple([z.number().check(z.positive()), z.number().check(z.positive())])

/** For so many animals: once they are counted, a group is given as much more or less. */
const per = z.optional(z.int().check(z.positive()))
/** What to give where nothing on the list is small enough. */
const instead = z.optional(z.array(z.string().check(z.minLength(1))).check(z.minLength(1)))

/** How much to give. Ranges are [low, high]. */
export const AmountRule = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('count'), count: range, per }),
  z
    .strictObject({
      by: z.literal('massShare'),
      share: range,
      count: z._default(z.int().check(z.positive()), 1),
      instead,
    })
    .check(z.describe('A share of body weight, 0.05 = 5 %, split over `count` items.')),
  z
    .strictObject({
      by: z.literal('width'),
      part: BodyPart,
      factor: z.number().check(z.positive()),
      count: range,
      per,
      instead,
    })
    .check(z.describe('Prey no wider than factor × the measured part.')),
  z
    .strictObject({
      by: z.literal('portion'),
      grams: z.number().check(z.positive()),
      min: z.number().check(z.positive()),
      max: z.number().check(z.positive()),
      followsLeftovers: z._default(z.boolean(), true),
      per,
    })
    .check(z.describe('Grams that follow what is left over, within bounds.')),
])
export type AmountRule = z.infer<typeof AmountRule>

/** One size of a food. */
export const FoodSize = z.strictObject({
  size: z.string().check(z.minLength(1)),
  grams: z.optional(z.number().check(z.positive())),
  widthMm: z.optional(z.number().check(z.positive())),
})
export type FoodSize = z.infer<typeof FoodSize>

export const Food = z.strictObject({
  item: z.string().check(z.minLength(1)),
  sizes: z._default(z.array(FoodSize).check(z.maxLength(40)), []),
  /** At most this many offers in any 7 days. */
  weeklyCap: z.optional(z.int().check(z.positive())),
  /** Days that must pass before the same item again. */
  minGapDays: z.optional(z.int().check(z.positive())),
  /** It fattens: what is taken out first of a body that is too fat. */
  rich: z.optional(z.boolean()),
  /** Hours after which what was left to find comes out again; where it is not said, it may stay. */
  outAfterHours: z.optional(z.number().check(z.positive(), z.maximum(72))),
  /** Live prey that gnaws at what cannot get away: out at once before a shed or molt. */
  bites: z.optional(z.boolean()),
  /** A complete mix brings vitamin D3 of its own: what is dusted comes on top. */
  carriesD3: z.optional(z.boolean()),
  thawDays: z.optional(z.int().check(z.minimum(0), z.maximum(3))),
  gutLoadDays: z.optional(z.int().check(z.minimum(0), z.maximum(3))),
})
export type Food = z.infer<typeof Food>

export const SupplementRule = z.strictObject({
  name: z.string().check(z.minLength(1)),
  /** Given with every n-th meal … */
  everyMeals: z.optional(z.int().check(z.positive())),
  /** … or when this many days have passed since it was last given. */
  everyDays: z.optional(z.int().check(z.positive())),
  /** When it is due it stands in for that one: plain calcium comes between. */
  insteadOf: z.optional(z.string().check(z.minLength(1))),
})
export type SupplementRule = z.infer<typeof SupplementRule>

const fields = {
  id: z.string().check(z.minLength(1), z.maxLength(40)),
  does: DutyKind,
  /** What the duty is called when it is not just its kind. */
  label: z.optional(z.string()),
  cadence: Cadence,
  /** Wall-clock minutes since midnight between which it is best done. */
  window: z.optional(
    z.strictObject({
      from: z.int().check(z.minimum(0), z.maximum(1440)),
      until: z.int().check(z.minimum(0), z.maximum(1440)),
    }),
  ),
  /** After a refusal, days before food is offered again. */
  offerAgainAfter: z.optional(z.number().check(z.nonnegative())),
  amount: z.optional(AmountRule),
  foods: z.optional(z.array(Food).check(z.maxLength(60))),
  supplements: z.optional(z.array(SupplementRule).check(z.maxLength(20))),
  litres: z.optional(z.number().check(z.positive())),
  /** What is read, and where. */
  reads: z.optional(z.strictObject({ zone: z.string(), what: Quantity, during: z.optional(HoldKind) })),
  /** Holds this duty does not yield to, although they usually stop its kind. */
  despite: z.optional(z.array(HoldKind).check(z.maxLength(20))),
  /** Greens, leaves, the floor it eats: never less of it because somebody is fat, nor more because somebody is thin. */
  staple: z.optional(z.boolean()),
  /** What it does to the animal: a hold may keep that from it, whatever the duty's kind. */
  effects: z.optional(z.array(Effect).check(z.maxLength(5))),
  /** How often while a resident is held so, instead of the usual. */
  cadenceDuring: z.optional(z.partialRecord(HoldKind, Cadence)),
  people: z.union([z.literal(1), z.literal(2)]),
  competence: z.optional(z.string()),
  minutes: z.number().check(z.positive()),
}

/** A duty as a sheet writes it: where it comes from is known when the plan is resolved. */
export const SheetDuty = z.strictObject({
  ...fields,
  people: z._default(fields.people, 1),
  minutes: z._default(fields.minutes, 1),
})
export type SheetDuty = z.infer<typeof SheetDuty>

// Without defaults: a patch must leave alone what it does not name.
const DutyChange = z.required(z.partial(z.strictObject(fields)), { id: true })

const DutyRemoval = z.strictObject({ id: z.string(), drop: z.literal(true) })

/** A change to some fields of the duty of the same id, a new duty, or a removal. */
export const DutyPatch = z.union([DutyChange, DutyRemoval])
export type DutyPatch = z.infer<typeof DutyPatch>

const forStages = { stages: z.optional(z.array(z.string()).check(z.minLength(1))) }

/** A change a school makes, at some stages only where it says so: what soaks the floor of the grown drowns the
 * young. */
export const SchoolPatch = z.union([z.extend(DutyChange, forStages), z.extend(DutyRemoval, forStages)])
export type SchoolPatch = z.infer<typeof SchoolPatch>

/** A recurring need of a resident. */
export const Duty = z.strictObject({ ...SheetDuty.shape, source: Source })
export type Duty = z.infer<typeof Duty>
