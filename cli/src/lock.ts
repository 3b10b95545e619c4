import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { isAlive, KobrinFault } from '@kobrin/server'

/** One Kobrin at a time on a data directory. A lock left by one that was killed is taken over. */
export function lockData(dataDir: string): () => void {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 })
  const file = join(dataDir, 'kobrin.pid')
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, 'utf8'))
    if (pid !== process.pid && Number.isInteger(pid) && pid > 1 && isAlive(pid)) {
      throw new KobrinFault(
        'already_running',
        `Kobrin is already running on ${dataDir} (process ${pid}). Stop it first, or set KOBRIN_DATA_DIR to another folder.`,
      )
    }
  }
  writeFileSync(file, String(process.pid))
  return () => rmSync(file, { force: true })
}
