import { z } from 'zod'
import { Weighing } from '../growth/weighing.ts'
import { Bounds } from '../plausible/plausible.ts'
import { Rest } from '../rest/rest.ts'
import { ZoneTarget } from '../sheet/climate.ts'
import { Housing, Light } from '../sheet/housing.ts'
import { FloorRule } from '../keptFloor/floorRule.ts'
import { HealthSign } from '../sheet/lifeHistory.ts'
import { SheetGroup } from '../sheet/group.ts'
import { Water } from '../readings/water.ts'
import { StageEnd } from '../sheet/stage.ts'
import { Standing } from '../verdicts/standing.ts'
import { Duty } from './duty.ts'
import { HoldRule } from './holdRule.ts'
import { Source } from './source.ts'

export const PlanTarget = z.strictObject({ ...ZoneTarget.shape, source: Source.optional() })
export type PlanTarget = z.infer<typeof PlanTarget>

/** What a sheet, a stage, schools and overrides resolve to for one resident. */
export const Plan = z.strictObject({
  sheet: z.string(),
  stage: z.string(),
  duties: z.array(Duty),
  holds: z.array(HoldRule),
  targets: z.array(PlanTarget).default([]),
  coolLoving: z.boolean().optional(),
  quarantineDays: z.int().positive().optional(),
  group: SheetGroup.optional(),
  water: Water.optional(),
  housing: Housing.optional(),
  light: Light.optional(),
  /** Where each line of the housing and the light comes from, by field. */
  sources: z.record(z.string(), Source).optional(),
  never: z.array(z.string()).optional(),
  heldFloor: FloorRule.optional(),
  /** What a first weight or length is held against. */
  bounds: Bounds.optional(),
  /** Signs of ill health that the record can show. */
  signs: z.array(HealthSign.omit({ stages: true }).required({ shownBy: true })).optional(),
  /** A winter rest, where one is planned at this stage. */
  rest: Rest.optional(),
  /** What moves it on, and to where. */
  next: z.strictObject({ stage: z.string(), name: z.string(), until: StageEnd }).optional(),
  cautions: z.array(z.string()).default([]),
  /** `r` and `q` of the weight trend. */
  weighing: Weighing,
  /** Refusals in a row that are a worry when nothing explains them. */
  refusalsToWorry: z.int().positive().default(3),
  /** Days without a sighting after which somebody should look; none for those that hide for months. */
  unseenToWorry: z.int().positive().optional(),
  standing: Standing.prefault({}),
})
export type Plan = z.infer<typeof Plan>
