import { crc32 } from 'node:zlib'
import type { ResidentState } from '@kobrin/core'

/** Residents remembered at most: enough for everyone on shift, whatever the size of the house. */
const REMEMBERED = 2000

export interface FoldMemory {
  /** The fold whose text has this checksum (CRC-32, as MariaDB's crc32()); undefined when it is another. */
  recall: (residentId: string, checksum: number) => ResidentState | undefined
  keep: (residentId: string, state: ResidentState, text: string) => void
}

/** Folds as this server wrote them last, so that a resident's next entry need not read them back. The
 * database stays the authority: one is believed only while the text there still has its checksum. */
export function createFoldMemory(): FoldMemory {
  const folds = new Map<string, { state: ResidentState; checksum: number }>()
  return {
    recall(residentId, checksum) {
      const known = folds.get(residentId)
      return known?.checksum === checksum ? known.state : undefined
    },
    keep(residentId, state, text) {
      folds.delete(residentId)
      folds.set(residentId, { state, checksum: crc32(text) })
      const [oldest] = folds.keys()
      if (folds.size > REMEMBERED && oldest !== undefined) folds.delete(oldest)
    },
  }
}
