import { z } from 'zod'
import { BodyPart } from '../growth/growthState.ts'
import { HoldKind } from '../holds/holdKind.ts'
import { Quantity } from '../readings/quantity.ts'
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

const range = z.tuple([z.number().positive(), z.number().positive()])

/** For so many animals: once they are counted, a group is given as much more or less. */
const per = z.int().positive().optional()
/** What to give where nothing on the list is small enough. */
const instead = z.array(z.string().min(1)).min(1).optional()

/** How much to give. Ranges are [low, high]. */
export const AmountRule = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('count'), count: range, per }),
  z
    .strictObject({ by: z.literal('massShare'), share: range, count: z.int().positive().default(1), instead })
    .describe('A share of body weight, 0.05 = 5 %, split over `count` items.'),
  z
    .strictObject({
      by: z.literal('width'),
      part: BodyPart,
      factor: z.number().positive(),
      count: range,
      per,
      instead,
    })
    .describe('Prey no wider than factor × the measured part.'),
  z
    .strictObject({
      by: z.literal('portion'),
      grams: z.number().positive(),
      min: z.number().positive(),
      max: z.number().positive(),
      followsLeftovers: z.boolean().default(true),
      per,
    })
    .describe('Grams that follow what is left over, within bounds.'),
])
export type AmountRule = z.infer<typeof AmountRule>

/** One size of a food. */
export const FoodSize = z.strictObject({
  size: z.string().min(1),
  grams: z.number().positive().optional(),
  widthMm: z.number().positive().optional(),
})
export type FoodSize = z.infer<typeof FoodSize>

export const Food = z.strictObject({
  item: z.string().min(1),
  sizes: z.array(FoodSize).max(40).default([]),
  /** At most this many offers in any 7 days. */
  weeklyCap: z.int().positive().optional(),
  /** Days that must pass before the same item again. */
  minGapDays: z.int().positive().optional(),
  thawDays: z.int().min(0).max(3).optional(),
  gutLoadDays: z.int().min(0).max(3).optional(),
})
export type Food = z.infer<typeof Food>

export const SupplementRule = z.strictObject({
  name: z.string().min(1),
  /** Given with every n-th meal … */
  everyMeals: z.int().positive().optional(),
  /** … or when this many days have passed since it was last given. */
  everyDays: z.int().positive().optional(),
})
export type SupplementRule = z.infer<typeof SupplementRule>

const fields = {
  id: z.string().min(1).max(40),
  does: DutyKind,
  /** What the duty is called when it is not just its kind. */
  label: z.string().optional(),
  cadence: Cadence,
  /** Wall-clock minutes since midnight between which it is best done. */
  window: z.strictObject({ from: z.int().min(0).max(1440), until: z.int().min(0).max(1440) }).optional(),
  /** After a refusal, days before food is offered again. */
  offerAgainAfter: z.number().nonnegative().optional(),
  amount: AmountRule.optional(),
  foods: z.array(Food).max(60).optional(),
  supplements: z.array(SupplementRule).max(20).optional(),
  litres: z.number().positive().optional(),
  /** What is read, and where. */
  reads: z.strictObject({ zone: z.string(), what: Quantity, during: HoldKind.optional() }).optional(),
  /** Holds this duty does not yield to, although they usually stop its kind. */
  despite: z.array(HoldKind).max(20).optional(),
  /** What it does to the animal: a hold may keep that from it, whatever the duty's kind. */
  effects: z.array(Effect).max(5).optional(),
  /** How often while a resident is held so, instead of the usual. */
  cadenceDuring: z.partialRecord(HoldKind, Cadence).optional(),
  people: z.union([z.literal(1), z.literal(2)]),
  competence: z.string().optional(),
  minutes: z.number().positive(),
}

/** A duty as a sheet writes it: where it comes from is known when the plan is resolved. */
export const SheetDuty = z.strictObject({
  ...fields,
  people: fields.people.default(1),
  minutes: fields.minutes.default(1),
})
export type SheetDuty = z.infer<typeof SheetDuty>

// Without defaults: a patch must leave alone what it does not name.
const DutyChange = z.strictObject(fields).partial().required({ id: true })

const DutyRemoval = z.strictObject({ id: z.string(), drop: z.literal(true) })

/** A change to some fields of the duty of the same id, a new duty, or a removal. */
export const DutyPatch = z.union([DutyChange, DutyRemoval])
export type DutyPatch = z.infer<typeof DutyPatch>

const forStages = { stages: z.array(z.string()).min(1).optional() }

/** A change a school makes, at some stages only where it says so: what soaks the floor of the grown drowns the
 * young. */
export const SchoolPatch = z.union([DutyChange.extend(forStages), DutyRemoval.extend(forStages)])
export type SchoolPatch = z.infer<typeof SchoolPatch>

/** A recurring need of a resident. */
export const Duty = z.strictObject({ ...SheetDuty.shape, source: Source })
export type Duty = z.infer<typeof Duty>
