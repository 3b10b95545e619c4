import type { Fact, FeedOutcome, Replacement } from '@kobrin/core'
import { kindHere } from './kindsHere.ts'

/** What of a fact somebody typed in its place. */
export interface Mending {
  number: number | null
  text: string
  outcome: FeedOutcome
}

type Fields = Readonly<Record<string, unknown>>

/** What of a fact can be mended, as it says it now. */
export function toMend({ kind, payload }: Fact): Mending {
  const { number, text, outcome } = kindHere(kind)?.mends ?? {}
  const said = payload as Fields
  return {
    number: number ? ((said[number.field] as number | undefined) ?? null) : null,
    text: text ? (said['text'] as string) : '',
    outcome: outcome ? (said['outcome'] as FeedOutcome) : 'taken',
  }
}

/** The same fact with what was typed in its place; null of one of which nothing can be mended. A number that was emptied is not
 * said any more. */
export function mended({ kind, payload }: Fact, typed: Mending): Replacement | null {
  const mends = kindHere(kind)?.mends
  if (!mends) return null
  const said = new Map(Object.entries(payload as Fields))
  if (mends.number) {
    if (typed.number === null) said.delete(mends.number.field)
    else said.set(mends.number.field, typed.number)
  }
  if (mends.text) said.set('text', typed.text)
  if (mends.outcome) said.set('outcome', typed.outcome)
  return { kind, payload: Object.fromEntries(said) } as unknown as Replacement
}
