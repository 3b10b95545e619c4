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

export const SkinState = z.strictObject({
  /** The open sign of a shed or molt, since its first. */
  sign: z.nullable(z.strictObject({ ...Mark.shape, stage: EcdysisStage, since: day })),
  /** Days on which the skin came off, oldest first. */
  sheds: z.array(day),
  /** Old skin still on, since the shed that left it. */
  retained: z.array(SkinLeft),
  /** Limbs lost at the last of them. */
  limbsLost: z.optional(z.strictObject({ count: z.number(), day })),
})
export type SkinState = z.infer<typeof SkinState>

export function nothingShed(): SkinState {
  return { sign: null, sheds: [], retained: [] }
}
