import type { ResidentState } from '../residents/residentState.ts'

/** Animals, as last counted, else as they were put on record; null where nobody counted. */
export function countOf({ count, register }: Pick<ResidentState, 'count' | 'register'>): number | null {
  return count.last?.count ?? register?.count ?? null
}
