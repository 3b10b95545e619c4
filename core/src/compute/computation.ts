import * as z from 'zod/mini'
import { BodyPart } from '../facts/growth/growthState.ts'
import { coded } from '../basics/coded.ts'

/** A computation that answers JSON with JSON. */
export interface Computation<
  I extends z.ZodMiniType = z.ZodMiniType,
  O extends z.ZodMiniType = z.ZodMiniType,
> {
  name: string
  about: string
  input: I
  output: O
  run: (input: z.output<I>) => z.input<O>
}

/** Why a question that can be read has no answer. */
export const RefusalCode = z.discriminatedUnion('code', [
  coded('unmeasured', { part: BodyPart }),
  /** No animal eats that share of its own weight. */
  coded('noSuchShare', { share: z.number(), most: z.number() }),
  coded('unweighed', {}),
  coded('sheetFault', { path: z.string(), fault: z.string() }),
  coded('unknown_sheet', { sheet: z.string(), known: z.array(z.string()) }),
  coded('unknown_stage', { stage: z.string(), known: z.array(z.string()) }),
  coded('unknown_option', { school: z.string(), option: z.string(), known: z.array(z.string()) }),
  /** Nothing to divide, or stronger than the stock. */
  coded('noSuchDilution', {}),
  coded('winterNotShorter', {}),
  coded('materialUnknown', { material: z.string(), needs: z.array(z.string()) }),
  coded('noDepth', {}),
  coded('tooFewPoints', { points: z.number(), days: z.number() }),
  coded('allAlike', {}),
  coded('noOptimum', {}),
  coded('tooUncertain', {}),
  coded('straight', {}),
  coded('noDistribution', {}),
  /** The numbers are so large or so small that the answer cannot be written. */
  coded('outOfRange', {}),
])
export type RefusalCode = z.infer<typeof RefusalCode>

/** An answer instead of a result, where the question has none. */
export const Refusal = z.strictObject({ refused: z.literal(true), reason: RefusalCode })
export type Refusal = z.infer<typeof Refusal>

export function refusal(reason: RefusalCode): Refusal {
  return { refused: true, reason }
}

function isWritable(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value)
  return typeof value !== 'object' || value === null || Object.values(value).every(isWritable)
}

/** An answer all of whose numbers can be written, or that there is none. */
export function writable<T extends object>(answer: T): T | Refusal {
  return isWritable(answer) ? answer : refusal({ code: 'outOfRange' })
}
