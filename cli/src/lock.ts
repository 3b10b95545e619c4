import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { isAlive, KobrinFault } from '@kobrin/server'

/** When a process began, as the system counts it; numbers of processes are given out again, and after a
 * power cut the old one may be anybody's. Empty where the system does not tell. */
function beganAt(pid: number): string {
  try {
    // The name in brackets may hold anything; the start is the 20th field after it.
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8')
      .replace(/^.*\)\s*/s, '')
      .split(' ')
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
    return `${boot} ${fields[19] ?? ''}`
  } catch {
    return ''
  }
}

function holds(file: string): number | null {
  const [number = '', ...began] = readFileSync(file, 'utf8').trim().split(' ')
  const pid = Number(number)
  if (!Number.isInteger(pid) || pid <= 1 || pid === process.pid || !isAlive(pid)) return null
  return began.length === 0 || began.join(' ') === beganAt(pid) ? pid : null
}

/** One Kobrin at a time on a data directory. A lock left by one that was killed is taken over. */
export function lockData(dataDir: string): () => void {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 })
  const file = join(dataDir, 'kobrin.pid')
  const holder = existsSync(file) ? holds(file) : null
  if (holder !== null) {
    throw new KobrinFault(
      'already_running',
      `Kobrin is already running on ${dataDir} (process ${holder}). Stop it first, or set KOBRIN_DATA_DIR to another folder.`,
    )
  }
  writeFileSync(file, `${process.pid} ${beganAt(process.pid)}`.trim(), { flush: true })
  return () => rmSync(file, { force: true })
}
