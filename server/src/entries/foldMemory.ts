import { crc32 } from 'node:zlib'
import type { ResidentState } from '@kobrin/core'

/** Residents remembered at most: enough for everyone on shift, whatever the size of the house. */
const REMEMBERED = 2000

/** A fold as it stands in the database. */
export interface Fold {
  state: ResidentState
  /** CRC-32 of its text, as MariaDB's crc32(): what is written over it is written only if it still is so. */
  checksum: number
}

export function foldOf(state: ResidentState, text: string): Fold {
  return { state, checksum: crc32(text) }
}

export interface FoldMemory {
  recall: (residentId: string) => Fold | undefined
  keep: (residentId: string, fold: Fold) => void
  forget: (residents: Iterable<string>) => void
}

/** Folds as this server wrote them last, so that a resident's next entry need not read them back. The
 * database stays the authority: see `writeTogether`. */
export function createFoldMemory(): FoldMemory {
  const folds = new Map<string, Fold>()
  return {
    recall: (residentId) => folds.get(residentId),
    keep(residentId, fold) {
      folds.delete(residentId)
      folds.set(residentId, fold)
      const [oldest] = folds.keys()
      if (folds.size > REMEMBERED && oldest !== undefined) folds.delete(oldest)
    },
    forget(residents) {
      for (const residentId of residents) folds.delete(residentId)
    },
  }
}
