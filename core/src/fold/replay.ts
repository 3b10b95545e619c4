import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
import { emptyState } from './emptyState.ts'
import { reduce } from './reduce.ts'
import type { ResidentState } from './residentState.ts'

/** What a whole history says, whatever order it is handed over in. */
export function replay(entries: readonly Entry[]): ResidentState {
  return effectiveFacts(entries).reduce(reduce, emptyState())
}
