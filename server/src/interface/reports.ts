import pLimit from 'p-limit'
import { KobrinProblem } from '../errors/problem.ts'

export interface Reports {
  /** Does it when it is its turn. Throws `busy` when that would take too long. */
  inTurn: <T>(work: () => Promise<T>) => Promise<T>
  /** Does it at once: no report begins meanwhile. */
  first: <T>(work: () => Promise<T>) => Promise<T>
}

export interface ReportsOptions {
  /** Reports at once: fewer than there are connections to the database, so that a tap always finds one. */
  atOnce?: number
  waitingMost?: number
  patienceMs?: number
  /** A report lets taps go first for so long: anyone who only looks must not wait for ever. */
  politeMs?: number
}

/** What goes first, and the moments in which there is none of it. */
function createTaps() {
  const waiting = new Set<() => void>()
  let going = 0
  return {
    through: async <T>(work: () => Promise<T>): Promise<T> => {
      going += 1
      try {
        return await work()
      } finally {
        going -= 1
        if (going === 0) for (const go of waiting) go()
      }
    },
    /** Resolves when none is going, or after so long. */
    async gap(politeMs: number): Promise<void> {
      if (going === 0) return
      await new Promise<void>((resolve) => {
        const timer = setTimeout(go, politeMs)
        function go(): void {
          clearTimeout(timer)
          waiting.delete(go)
          resolve()
        }
        waiting.add(go)
      })
    },
  }
}

/** Reports are read a few at a time and between the taps of keepers, which go before them; who would have to
 * wait too long is told so at once, and comes back. */
export function createReports({
  atOnce = 2,
  waitingMost = 200,
  patienceMs = 10_000,
  politeMs = 100,
}: ReportsOptions = {}): Reports {
  const limit = pLimit(atOnce)
  const taps = createTaps()
  return {
    first: taps.through,
    async inTurn(work) {
      if (limit.pendingCount >= waitingMost) throw new KobrinProblem('busy')
      const asked = performance.now()
      return limit(async () => {
        if (performance.now() - asked > patienceMs) throw new KobrinProblem('busy')
        await taps.gap(politeMs)
        return work()
      })
    },
  }
}
