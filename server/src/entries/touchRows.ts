import type { AmountUnit, Fact, Touched } from '@kobrin/core'
import { isoDay, touchesOf } from '@kobrin/core'

/** One row of `touch`. */
export interface TouchRow {
  /** The one that is touched. */
  subject: string
  day: number
  uid: string
  how: string
  /** The one the entry is about. */
  other: string
  /** Which of the touches of its fact it is: a fact may touch the same subject twice in the same way. */
  nth: number
  amount: number | null
  unit: AmountUnit | null
}

/** What a fact that counts says of other subjects. */
export function touchRows(fact: Fact): TouchRow[] {
  return touchesOf(fact).map(({ subject, how, amount }, nth) => ({
    subject,
    day: fact.day,
    uid: fact.uid,
    how,
    other: fact.subject,
    nth,
    amount: amount?.value ?? null,
    unit: amount?.unit ?? null,
  }))
}

/** What a row says to the one that is touched. */
export function touchedIn({
  how,
  other,
  amount,
  unit,
}: Pick<TouchRow, 'how' | 'other' | 'amount' | 'unit'>): Touched {
  return { how, other, ...(amount !== null && unit !== null && { amount: { value: amount, unit } }) }
}

/** The columns of a row, in the order of `touchValues`. */
export const TOUCH_COLUMNS = 'subject, day, uid, how, other, nth, amount, unit'

/** A row as it is inserted. */
export function touchValues({ subject, day, uid, how, other, nth, amount, unit }: TouchRow) {
  return [subject, isoDay(day), uid, how, other, nth, amount, unit]
}
