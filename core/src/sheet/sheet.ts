import { z } from 'zod'
import { Weighing } from '../growth/weighing.ts'
import { HoldRule } from '../plan/holdRule.ts'
import { Water } from '../readings/water.ts'
import { ZoneTarget } from './climate.ts'
import { Housing, Light } from './housing.ts'
import {
  Adult,
  Breeding,
  Ecdysis,
  FloorRecipe,
  Growth,
  HealthSign,
  HeldFloor,
  Setup,
  Together,
} from './lifeHistory.ts'
import { School } from './school.ts'
import { SheetGroup } from './group.ts'
import { Stage } from './stage.ts'
import { Standing } from '../verdicts/standing.ts'

/** What a hold stops at the stages it is about; at all of them when none is named. */
const SheetHold = HoldRule.omit({ source: true }).extend({ stages: z.array(z.string()).min(1).optional() })

/** The care sheet of a species. Every value may be changed by the site. */
export const Sheet = z.strictObject({
  id: z.string().regex(/^[a-z][a-z0-9-]*$/, 'small letters, digits and hyphens only'),
  common: z.string().min(1),
  latin: z.string().min(1),
  otherNames: z.array(z.string()).default([]),
  group: SheetGroup,
  /** Whether one record stands for one animal or for many. */
  lives: z.enum(['individual', 'colony']),
  adult: Adult.optional(),
  stages: z.array(Stage).min(1),
  holds: z.array(SheetHold).default([]),
  schools: z.array(School).default([]),
  targets: z.array(ZoneTarget).default([]),
  /** It dies of heat long before it suffers from cold: whatever is wrong, no heater is advised. */
  coolLoving: z.boolean().default(false),
  housing: Housing.optional(),
  light: Light.optional(),
  water: Water.optional(),
  /** Days from one test of the water to the next. */
  waterEvery: z.int().positive().optional(),
  floor: FloorRecipe.optional(),
  heldFloor: HeldFloor.optional(),
  /** What must never be offered. */
  never: z.array(z.string().min(1)).default([]),
  ecdysis: Ecdysis.optional(),
  breeding: Breeding.optional(),
  growth: Growth.optional(),
  signs: z.array(HealthSign).default([]),
  together: Together.optional(),
  setup: Setup.optional(),
  cautions: z.array(z.string()).default([]),
  /** A reminder that a licence or certificate may be needed. */
  licence: z.string().optional(),
  competence: z.string().optional(),
  /** Days a newcomer is kept apart at least. */
  quarantineDays: z.int().positive().optional(),
  people: z.union([z.literal(1), z.literal(2)]).optional(),
  weighing: Weighing.default({ r: 0.03, q: 1e-7 }),
  refusalsToWorry: z.int().positive().optional(),
  unseenToWorry: z.int().positive().optional(),
  standing: Standing.prefault({}),
  /** Values nobody is sure of, by field, and why. */
  unsure: z.array(z.strictObject({ field: z.string(), why: z.string() })).default([]),
  sources: z.array(z.string()).min(1),
})
export type Sheet = z.infer<typeof Sheet>
