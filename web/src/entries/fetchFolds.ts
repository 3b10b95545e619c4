import type { Bookmark } from '@kobrin/contract'
import { readBookmark, ROUTES } from '@kobrin/contract'
import { call } from '../wire/call.ts'
import type { AnyState, ToldFold } from './ledger.ts'

interface ToldFolds {
  /** How far the feed had come: no fold lies behind it. */
  head: Bookmark
  folds: [subject: string, fold: ToldFold][]
  /** The server's clock when it answered, milliseconds. */
  now: number
}

/** What everybody's record adds up to, or that of some. */
export async function fetchFolds(of?: readonly string[]): Promise<ToldFolds> {
  const { head, now, states } = await call(ROUTES.states, {
    querystring: of ? { of: of.join(',') } : {},
  })
  const folds = Object.entries(states).map(([subject, { family, upTo, state }]): [string, ToldFold] => [
    subject,
    { family, upTo: readBookmark(upTo) ?? {}, state: state as unknown as AnyState },
  ])
  return { head: readBookmark(head) ?? {}, folds, now }
}
