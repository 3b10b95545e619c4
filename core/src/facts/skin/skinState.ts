import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

const day = z.number()

export const EcdysisStage = z.enum([
  'dull',
  'inBlue',
  'clear',
  'premolt',
  'sealedIn',
  'shed',
  'molted',
  'soft',
  'hardened',
])
export type EcdysisStage = z.infer<typeof EcdysisStage>

/** Where old skin may stay on after a shed or a molt. */
export const SkinLeft = z.enum(['eyeCaps', 'tailTip', 'toes', 'body', 'limbs'])
export type SkinLeft = z.infer<typeof SkinLeft>

/** Old skin on one part of the body: since when, and in how many layers. */
export const OldSkin = z.strictObject({ part: SkinLeft, layers: z.number(), since: day, by: z.string() })
export type OldSkin = z.infer<typeof OldSkin>

/** A shed or molt as it was first told. */
export const Shed = z.strictObject({ ...Mark.shape, limbsLost: z.optional(z.number()) })
export type Shed = z.infer<typeof Shed>

export const SkinState = z.strictObject({
  /** The open sign of a shed or molt, since its first. */
  sign: z.nullable(z.strictObject({ ...Mark.shape, stage: EcdysisStage, since: day })),
  /** What ended the one before it, or this one. */
  signEnded: z.nullable(Mark),
  /** Each time the skin came off, oldest first. */
  sheds: z.array(Shed),
  /** Old skin still on. */
  retained: z.array(OldSkin),
  /** Sheds before this day are of an earlier stay: nobody wrote down those between. */
  from: z.optional(day),
})
export type SkinState = z.infer<typeof SkinState>

export function nothingShed(): SkinState {
  return { sign: null, signEnded: null, sheds: [], retained: [] }
}

/** No sign of a shed or molt is open any more. */
export function signEnded(skin: SkinState, mark: Mark): SkinState {
  return { ...skin, sign: null, signEnded: mark }
}

/** The days on which the skin came off in this stay, oldest first. */
export function shedDays({ sheds, from = -Infinity }: SkinState): number[] {
  return sheds.filter((shed) => shed.day >= from).map((shed) => shed.day)
}

/** The parts that old skin is still on. */
export function partsLeft({ retained }: SkinState): SkinLeft[] {
  return retained.map(({ part }) => part)
}

/** Limbs lost at the last shed or molt. */
export function limbsLostAt({ sheds }: SkinState): { count: number; day: number } | null {
  const last = sheds.at(-1)
  return last?.limbsLost === undefined ? null : { count: last.limbsLost, day: last.day }
}
