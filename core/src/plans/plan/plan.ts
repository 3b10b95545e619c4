import * as z from 'zod/mini'
import { Weighing } from '../growth/weighing.ts'
import { Bounds } from '../plausible/plausible.ts'
import { Rest } from '../winterRest/winterRest.ts'
import { ZoneTarget } from '../sheet/climate.ts'
import { Housing, Light } from '../sheet/housing.ts'
import { FloorRule } from '../lots/floorRule.ts'
import { positiveRange } from '../../basics/range.ts'
import { ExpectedGrowth } from '../growth/expectedGrowth.ts'
import { Ecdysis, HealthSign, SeasonalFast, SignEvidence } from '../sheet/lifeHistory.ts'
import { BodyScale } from '../sheet/bodyScale.ts'
import { SheetGroup } from '../sheet/group.ts'
import { Water } from '../readings/water.ts'
import { StageEnd } from '../sheet/stage.ts'
import { Standing } from '../sheet/standing.ts'
import { Duty } from './duty.ts'
import { HoldRule } from './holdRule.ts'
import { Source } from './source.ts'

export const PlanTarget = z.strictObject({ ...ZoneTarget.shape, source: z.optional(Source) })
export type PlanTarget = z.infer<typeof PlanTarget>

const PlannedEcdysis = z.strictObject({
  what: Ecdysis.shape.what,
  signs: SignEvidence,
  /** Days between two: the middle eight of ten. */
  days: positiveRange,
  eaten: Ecdysis.shape.eaten,
})

/** What a sheet, a stage, schools and overrides resolve to for one resident. */
export const Plan = z.strictObject({
  sheet: z.string(),
  stage: z.string(),
  duties: z.array(Duty),
  holds: z.array(HoldRule),
  targets: z._default(z.array(PlanTarget), []),
  coolLoving: z.optional(z.boolean()),
  quarantineDays: z.optional(z.int().check(z.positive())),
  group: z.optional(SheetGroup),
  water: z.optional(Water),
  housing: z.optional(Housing),
  light: z.optional(Light),
  /** Where each line of the housing and the light comes from, by field. */
  sources: z.optional(z.record(z.string(), Source)),
  never: z.optional(z.array(z.string())),
  heldFloor: z.optional(FloorRule),
  /** What a first weight or length is held against. */
  bounds: z.optional(Bounds),
  /** Signs of ill health that the record can show. */
  signs: z.optional(z.array(z.required(z.omit(HealthSign, { stages: true }), { shownBy: true }))),
  /** A winter rest, where one is planned at this stage. */
  rest: z.optional(Rest),
  /** What moves it on, and to where. */
  next: z.optional(z.strictObject({ stage: z.string(), name: z.string(), until: StageEnd })),
  cautions: z._default(z.array(z.string()), []),
  /** Whether one record stands for one animal or for many. */
  lives: z.optional(z.enum(['individual', 'colony'])),
  /** By which marks its condition is scored, where not by those of its group. */
  scale: z.optional(BodyScale),
  growth: z.optional(ExpectedGrowth),
  /** Its sheds or molts at this stage. */
  ecdysis: z.optional(PlannedEcdysis),
  /** Times of the year in which it may eat nothing. */
  fasts: z.optional(z.array(SeasonalFast)),
  /** `r` and `q` of the weight trend. */
  weighing: Weighing,
  /** Refusals in a row that are a worry when nothing explains them. */
  refusalsToWorry: z._default(z.int().check(z.positive()), 3),
  /** Days without a sighting after which somebody should look; none for those that hide for months. */
  unseenToWorry: z.optional(z.int().check(z.positive())),
  standing: z.prefault(Standing, {}),
})
export type Plan = z.infer<typeof Plan>
