import type * as z from 'zod/mini'
import type { Role } from '../people/role.ts'

/** What happened to one subject, as it reaches a fold. */
export interface Happening<P = unknown> {
  uid: string
  subject: string
  occurredAt: string
  /** When it was written down, where that was later than it happened. */
  writtenAt?: string | undefined
  day: number
  author: string
  /** Ties the entries of one doing. */
  act?: string | undefined
  payload: P
}

/** What an amount is counted in. */
export type AmountUnit = 'pieces' | 'g' | 'animals'

/** Another subject that a fact is about as well, and how much of it. */
export interface Touch {
  family: string
  subject: string
  how: string
  amount?: { value: number; unit: AmountUnit }
}

/** One touch, as the one that is touched hears of it. */
export interface Touched extends Pick<Touch, 'how' | 'amount'> {
  /** The one whose fact it is. */
  other: string
}

/** What of a care sheet a fact may name. */
export interface SheetNames {
  stages: readonly { id: string }[]
  schools: readonly { id: string; options: readonly { id: string }[] }[]
}

/** What of the house a kind may hold a fact against. */
export interface HouseKnown {
  /** What the fact is about, and its line in the register so far. */
  subject: string
  register: { sheet: string } | null
  sheet: (id: string) => SheetNames | undefined
  /** Whose number it is. */
  holderOf: (number: string) => string | undefined
}

/** Why a fact cannot be of this house: it names something that is not there, or that is somebody else's. Only that:
 * a fact of the past that tells of a wrong deed is kept, and judged. */
export type Objection = 'unknown_sheet' | 'unknown_stage' | 'unknown_school' | 'number_taken'

/** One kind of fact about the subjects of a family. */
export interface Kind<S, P> {
  payload: z.ZodMiniType<P>
  /** Who may record it. */
  recordedBy: readonly Role[]
  fold: (state: S, fact: Happening<P>) => S
  /** The revision of the folds since which it is known; without it, since before the fourth. Pages older than it are
   * not told of it. */
  since?: number
  /** A subject begins with it. */
  founds?: true
  touches?: (payload: P) => Touch[]
  /** It cannot be held against the house without the care sheets. */
  needsSheets?: true
  /** A number that it claims for its subject: nobody else may have it. */
  claims?: (payload: P) => string | undefined
  objects?: (payload: P, known: HouseKnown) => Objection | null
}

/** Makes the kinds of one family: what is said of a kind is checked where it is written. */
export function kindFor<S>(): <P>(kind: Kind<S, P>) => Kind<S, P> {
  return (kind) => kind
}
