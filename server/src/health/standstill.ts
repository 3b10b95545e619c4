import type { ErrorCode } from '@kobrin/contract'
import { isFull } from '../errors/problem.ts'
import { repeatedly } from '../repeatedly.ts'
import type { Disk } from './disk.ts'
import { diskOf } from './disk.ts'

/** Why nothing can be kept just now, from the catalogue of errors; null while everything can. */
export type Why = Extract<ErrorCode, 'disk_full' | 'database_away'> | null

export interface Standstill {
  why: () => Why
  /** Looks at the disk now. */
  disk: () => Promise<Disk>
  /** Tells of every change. Answers how to stop. */
  follow: (listener: (why: Why) => void) => () => void
  /** Something was to be written, and was or was not. */
  tried: (error: unknown) => void
  /** The database was found to answer, or not to. */
  found: (beating: boolean) => void
  stop: () => Promise<void>
}

export interface StandstillOptions {
  onChange: (why: Why) => void
  everyMs?: number
  /** The disk as it is measured. */
  measure?: (folder: string | null) => Promise<Disk>
}

/** Watches whether the house can keep what it is told, so that every screen hears of it, not only the one
 * whose entry could not be written. */
export function createStandstill(
  dataDir: string | null,
  { onChange, everyMs = 15_000, measure = diskOf }: StandstillOptions,
): Standstill {
  const listeners = new Set<(why: Why) => void>([onChange])
  const found = { beating: true, measured: 'unknown' as Disk, refused: false }
  let before: Why = null

  const disk = () => (found.refused ? 'full' : found.measured)
  function why(): Why {
    if (!found.beating) return 'database_away'
    return disk() === 'full' ? 'disk_full' : null
  }

  function know(what: Partial<typeof found>): void {
    Object.assign(found, what)
    const now = why()
    if (now === before) return
    before = now
    for (const listener of listeners) listener(now)
  }

  async function look(): Promise<Disk> {
    know({ measured: await measure(dataDir) })
    return disk()
  }

  const looks = repeatedly(everyMs, look)

  return {
    why,
    disk: look,
    follow(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    tried: (error) => know({ refused: isFull(error) }),
    found: (beating) => know({ beating }),
    stop: looks.stop,
  }
}
