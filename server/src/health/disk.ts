import { statfs } from 'node:fs/promises'

export type Disk = 'roomy' | 'full' | 'unknown'

/** With less than this a database soon cannot write. */
const LEAST_BYTES = 64 * 1024 * 1024

/** Whether there is room where our own database keeps its data; unknown for a database elsewhere. */
export async function diskOf(folder: string | null, least = LEAST_BYTES): Promise<Disk> {
  if (folder === null) return 'unknown'
  try {
    const { bavail, bsize } = await statfs(folder)
    return bavail * bsize < least ? 'full' : 'roomy'
  } catch {
    return 'unknown'
  }
}
