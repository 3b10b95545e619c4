import { z } from 'zod'
import { DutyPatch, SheetDuty } from './duty.ts'
import { HoldRule } from './holdRule.ts'
import { Plan, ZoneTarget } from './plan.ts'

export const SheetGroup = z.enum([
  'snake',
  'lizard',
  'tortoise',
  'frog',
  'salamander',
  'tarantula',
  'scorpion',
  'whipSpider',
  'millipede',
  'mantid',
  'stickInsect',
  'cockroach',
  'beetle',
  'butterfly',
  'snail',
  'ant',
  'isopod',
  'springtail',
  'feeder',
  'fish',
])
export type SheetGroup = z.infer<typeof SheetGroup>

const SheetHold = HoldRule.omit({ source: true })

/** What a school changes. */
export const SchoolOption = z.strictObject({
  id: z.string(),
  name: z.string(),
  reason: z.string(),
  duties: z.array(DutyPatch).default([]),
  targets: z.array(ZoneTarget).default([]),
})

/** A matter on which keepers disagree, with every side's reason. */
export const School = z.strictObject({
  id: z.string(),
  question: z.string(),
  default: z.string(),
  options: z.array(SchoolOption).min(2),
})

/** What moves a resident from one stage to the next; the first that holds. */
export const StageEnd = z.strictObject({
  ageDays: z.number().positive().optional(),
  grams: z.number().positive().optional(),
  lengthMm: z.number().positive().optional(),
  legSpanMm: z.number().positive().optional(),
  workers: z.number().positive().optional(),
})

export const Stage = z.strictObject({
  id: z.string(),
  name: z.string(),
  until: StageEnd.optional(),
  duties: z.array(SheetDuty).min(1),
})

/** The care sheet of a species. Every value may be changed by the site. */
export const Sheet = z.strictObject({
  id: z.string().regex(/^[a-z][a-z0-9-]*$/),
  common: z.string(),
  latin: z.string(),
  group: SheetGroup,
  /** Whether one record stands for one animal or for many. */
  lives: z.enum(['individual', 'colony']),
  stages: z.array(Stage).min(1),
  holds: z.array(SheetHold).default([]),
  schools: z.array(School).default([]),
  targets: z.array(ZoneTarget).default([]),
  cautions: z.array(z.string()).default([]),
  competence: z.string().optional(),
  people: z.union([z.literal(1), z.literal(2)]).optional(),
  weighing: Plan.shape.weighing.default({ r: 0.03, q: 1e-7 }),
  refusalsToWorry: z.int().positive().optional(),
  unseenToWorry: z.int().positive().optional(),
  sources: z.array(z.string()).min(1),
})
export type Sheet = z.infer<typeof Sheet>

/** A change to a plan that somebody signed. */
export const Override = z.strictObject({
  patch: DutyPatch,
  by: z.string(),
  on: z.number(),
  until: z.number().optional(),
  reason: z.string(),
})
export type Override = z.infer<typeof Override>
