import * as z from 'zod/mini'
import { Weighing } from '../growth/weighing.ts'
import { HoldRule } from '../plan/holdRule.ts'
import { Water } from '../readings/water.ts'
import { ZoneTarget } from './climate.ts'
import { BodyScale } from './bodyScale.ts'
import { Housing, Light } from './housing.ts'
import {
  Adult,
  Breeding,
  Ecdysis,
  FloorRecipe,
  Growth,
  HealthSign,
  HeldFloor,
  SeasonalFast,
  Setup,
  Together,
} from './lifeHistory.ts'
import { School } from './school.ts'
import { SheetGroup } from './group.ts'
import { Stage } from './stage.ts'
import { Standing } from './standing.ts'

/** What a hold stops at the stages it is about; at all of them when none is named. */
const SheetHold = z.extend(z.omit(HoldRule, { source: true }), {
  stages: z.optional(z.array(z.string()).check(z.minLength(1))),
})

/** The care sheet of a species. Every value may be changed by the site. */
export const Sheet = z.strictObject({
  id: z.string().check(z.regex(/^[a-z][a-z0-9-]*$/, 'small letters, digits and hyphens only')),
  common: z.string().check(z.minLength(1)),
  latin: z.string().check(z.minLength(1)),
  otherNames: z._default(z.array(z.string()), []),
  /** What keepers call it on boxes and lists. */
  alsoCalled: z.optional(z.array(z.string().check(z.minLength(1)))),
  group: SheetGroup,
  /** Nobody has read it against a source: it was made here of a few words, or after another sheet. */
  unread: z.optional(z.strictObject({ like: z.optional(z.string()) })),
  /** Whether one record stands for one animal or for many. */
  lives: z.enum(['individual', 'colony']),
  adult: z.optional(Adult),
  stages: z.array(Stage).check(z.minLength(1)),
  holds: z._default(z.array(SheetHold), []),
  schools: z._default(z.array(School), []),
  targets: z._default(z.array(ZoneTarget), []),
  /** It dies of heat long before it suffers from cold: whatever is wrong, no heater is advised. */
  coolLoving: z._default(z.boolean(), false),
  housing: z.optional(Housing),
  light: z.optional(Light),
  water: z.optional(Water),
  /** Days from one test of the water to the next. */
  waterEvery: z.optional(z.int().check(z.positive())),
  floor: z.optional(FloorRecipe),
  heldFloor: z.optional(HeldFloor),
  /** What must never be offered. */
  never: z._default(z.array(z.string().check(z.minLength(1))), []),
  ecdysis: z.optional(Ecdysis),
  breeding: z.optional(Breeding),
  growth: z.optional(Growth),
  fasts: z.optional(z.array(SeasonalFast)),
  signs: z._default(z.array(HealthSign), []),
  together: z.optional(Together),
  setup: z.optional(Setup),
  cautions: z._default(z.array(z.string()), []),
  /** A reminder that a licence or certificate may be needed. */
  licence: z.optional(z.string()),
  competence: z.optional(z.string()),
  /** Days a newcomer is kept apart at least. */
  quarantineDays: z.optional(z.int().check(z.positive())),
  /** Why it is kept apart for so long, and what is looked for meanwhile. */
  quarantine: z.optional(
    z.strictObject({
      why: z.string().check(z.minLength(1)),
      tests: z._default(z.array(z.string().check(z.minLength(1))), []),
    }),
  ),
  /** Why the insects it eats are not dusted with calcium. */
  undusted: z.optional(z.string().check(z.minLength(1))),
  /** By which marks of the body its condition is scored, where not by those of its group. */
  scale: z.optional(BodyScale),
  people: z.optional(z.union([z.literal(1), z.literal(2)])),
  weighing: z._default(Weighing, { r: 0.03, q: 1e-7 }),
  refusalsToWorry: z.optional(z.int().check(z.positive())),
  unseenToWorry: z.optional(z.int().check(z.positive())),
  standing: z.prefault(Standing, {}),
  /** Values nobody is sure of, by field, and why. */
  unsure: z._default(z.array(z.strictObject({ field: z.string(), why: z.string() })), []),
  sources: z.array(z.string()).check(z.minLength(1)),
})
export type Sheet = z.infer<typeof Sheet>
