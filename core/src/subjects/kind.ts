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
}

/** Makes the kinds of one family: what is said of a kind is checked where it is written. */
export function kindFor<S>(): <P>(kind: Kind<S, P>) => Kind<S, P> {
  return (kind) => kind
}
