import type { Fact } from '@kobrin/core'
import { touchesOf } from '@kobrin/core'

/** One row of `touch`. */
export interface TouchRow {
  /** The one that is touched. */
  subject: string
  day: number
  uid: string
  how: string
  /** The one the entry is about. */
  other: string
  amount: number | null
}

/** What a fact that counts says of other subjects. */
export function touchRows(fact: Fact): TouchRow[] {
  return touchesOf(fact).map(({ subject, how, amount = null }) => ({
    subject,
    day: fact.day,
    uid: fact.uid,
    how,
    other: fact.subject,
    amount,
  }))
}
