import type { PlannedDay } from '@kobrin/core'
import { DutyPatch, Housing, Light, Plan, ZoneTarget } from '@kobrin/core'
import { z } from 'zod'

const reason = z.string().trim().min(1).max(400)
const word = z.string().min(1).max(60)

/** Something that changed a plan: who, when, what, why. The day's handover lists them. */
export const PlanChange = z.strictObject({
  seq: z.int(),
  at: z.string(),
  day: z.int(),
  /** Null for what came with a new version of the shipped library. */
  by: z.uuid().nullable(),
  kind: z.enum(['school', 'override', 'ended', 'stage', 'sheet', 'enclosure', 'resident']),
  sheet: z.string().nullable(),
  resident: z.uuid().nullable(),
  /** In plain words, as it stood when it was made. */
  what: z.string(),
  reason: z.string(),
})
export type PlanChange = z.infer<typeof PlanChange>

/** A school chosen for a sheet, or for one resident on it. */
export const ChooseSchool = z.strictObject({
  sheet: word,
  school: word,
  option: word,
  resident: z.uuid().optional(),
  reason,
})
export type ChooseSchool = z.infer<typeof ChooseSchool>

const change = {
  patch: DutyPatch.optional(),
  target: ZoneTarget.optional(),
  housing: Housing.partial().optional(),
  light: Light.partial().optional(),
  /** Last day it holds. */
  until: z.int().optional(),
}

/** A signed change to the plan of everyone on a sheet, or of one resident. */
export const SignOverride = z.strictObject({
  ...change,
  sheet: word.optional(),
  resident: z.uuid().optional(),
  reason,
})
export type SignOverride = z.infer<typeof SignOverride>

export const EndOverride = z.strictObject({ target: z.string().max(60), number: z.int().min(0), reason })
export type EndOverride = z.infer<typeof EndOverride>

export const SetStage = z.strictObject({ stage: word, reason })
export type SetStage = z.infer<typeof SetStage>

/** What would be different: a stage, schools or a change not yet signed. */
export const AskPreview = z.strictObject({
  resident: z.uuid(),
  stage: word.optional(),
  schools: z.record(z.string(), z.string()).optional(),
  change: z.strictObject(change).optional(),
  days: z.int().min(1).max(31).default(14),
})
export type AskPreview = z.input<typeof AskPreview>

const days = z.array(z.strictObject({ day: z.int(), tasks: z.array(z.looseObject({ duty: z.string() })) }))
export const Preview = z.strictObject({
  before: days,
  after: days,
  plan: Plan,
})
export interface PreviewAnswer {
  before: PlannedDay[]
  after: PlannedDay[]
  plan: Plan
}

/** Where one resident's plan comes from: what was chosen for it, and every change signed. */
export const PlanSources = z.strictObject({
  sheet: z.string(),
  stage: z.string(),
  siteSchools: z.record(z.string(), z.string()),
  ownSchools: z.record(z.string(), z.string()),
  overrides: z.array(
    z.strictObject({ target: z.string(), number: z.int(), change: z.looseObject({ reason: z.string() }) }),
  ),
})
