import type { Bookmark } from '@kobrin/contract'
import { readBookmark, ROUTES } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import { call } from '../api/call.ts'
import type { ServedFold } from './ledger.ts'
import type { AnyState } from './page.ts'

interface ServedFolds {
  /** How far the feed had come: no fold lies behind it. */
  head: Bookmark
  folds: [subject: string, fold: ServedFold][]
  /** The server's clock when it answered, milliseconds. */
  now: number
  /** The revision of the server's folds. */
  revision: number
}

/** Whose record: of some, of all that are open or were written about lately, or of all others. */
export type Whose = readonly string[] | 'open' | 'closed'

/** What a record adds up to. */
export async function fetchFolds(whose: Whose): Promise<ServedFolds> {
  const {
    head,
    now,
    states,
    revision = FOLD_REVISION,
  } = await call(ROUTES.states, {
    querystring: typeof whose === 'string' ? { held: whose } : { of: whose.join(',') },
  })
  const folds = Object.entries(states).map(([subject, { family, upTo, state }]): [string, ServedFold] => [
    subject,
    { family, upTo: readBookmark(upTo) ?? {}, state: state as unknown as AnyState },
  ])
  return { head: readBookmark(head) ?? {}, folds, now, revision }
}
