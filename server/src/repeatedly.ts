import { setTimeout as sleep } from 'node:timers/promises'

export interface Repeating {
  /** Begins nothing more, and waits for what was begun. */
  stop: () => Promise<void>
}

/** Does something now and again and again, with a pause after each time: never twice at once. It is no reason
 * for the process to stay. The work is handed a signal that is aborted when it is told to stop. */
export function repeatedly(everyMs: number, work: (signal: AbortSignal) => Promise<unknown>): Repeating {
  const stopping = new AbortController()
  const { signal } = stopping

  async function run(): Promise<void> {
    while (!signal.aborted) {
      await work(signal)
      await sleep(everyMs, undefined, { signal, ref: false }).catch(() => undefined)
    }
  }
  const running = run()

  return {
    async stop() {
      stopping.abort()
      await running
    },
  }
}
