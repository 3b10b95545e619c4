import type { ChildProcess } from 'node:child_process'
import { fork } from 'node:child_process'
import { setTimeout as sleep } from 'node:timers/promises'

const SIGNALS = ['SIGINT', 'SIGTERM', 'SIGHUP'] as const
/** After a fall it is started again at once; after one that follows close on another, a little later. */
const PAUSES_MS = [0, 1_000, 5_000, 15_000, 60_000]
const CALM_MS = 60_000

/** Set for the process that serves: it is watched by another. */
export const WATCHED = 'KOBRIN_WATCHED'

interface End {
  code: number | null
  signal: NodeJS.Signals | null
}

function ended(child: ChildProcess): Promise<End> {
  return new Promise((resolve) => child.once('exit', (code, signal) => resolve({ code, signal })))
}

/** Runs a command of ours in a process of its own and starts it again whenever it falls after it served.
 * Answers the exit code once it was told to stop, or could not begin. */
export async function watchOver(script: string, args: readonly string[]): Promise<number> {
  const now: { stopped: boolean; served: boolean; child: ChildProcess | null } = {
    stopped: false,
    served: false,
    child: null,
  }
  const tell = (signal: NodeJS.Signals) => {
    now.stopped = true
    now.child?.kill(signal)
  }
  const isTold = () => now.stopped
  for (const signal of SIGNALS) process.on(signal, tell)
  let falls = 0
  for (;;) {
    const began = Date.now()
    const child = fork(script, args, { env: { ...process.env, [WATCHED]: '1' } })
    Object.assign(now, { served: false, child })
    child.once('message', () => (now.served = true))
    const { code, signal } = await ended(child)
    if (isTold() || code === 0 || (!now.served && falls === 0)) return code ?? 1
    falls = now.served && Date.now() - began > CALM_MS ? 1 : falls + 1
    const pause = PAUSES_MS[Math.min(falls - 1, PAUSES_MS.length - 1)] ?? 0
    console.error(
      `${new Date().toISOString()} The server fell (${signal ?? `exit code ${String(code)}`}). It is started again` +
        `${pause > 0 ? ` in ${pause / 1000} s` : ''}.`,
    )
    await sleep(pause)
    if (isTold()) return 0
  }
}

/** In the process that is watched: says that it serves, and stops when nobody watches any more. */
export function tellWatcher(): void {
  if (!process.send) return
  process.send('serving')
  process.once('disconnect', () => process.kill(process.pid, 'SIGTERM'))
  // The line to the watcher alone is no reason to stay.
  process.channel?.unref()
}
