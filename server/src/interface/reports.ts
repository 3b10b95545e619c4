import pLimit from 'p-limit'
import { KobrinProblem } from '../errors/problem.ts'

export interface Reports {
  /** Does it when it is its turn. Throws `busy` when that would take too long. */
  inTurn: <T>(work: () => Promise<T>) => Promise<T>
}

export interface ReportsOptions {
  /** Reports at once: fewer than there are connections to the database, so that a tap always finds one. */
  atOnce?: number
  waitingMost?: number
  patienceMs?: number
}

/** Reports are read a few at a time, because a keeper's tap goes before them; who would have to wait too
 * long is told so at once, and comes back. */
export function createReports({
  atOnce = 4,
  waitingMost = 200,
  patienceMs = 10_000,
}: ReportsOptions = {}): Reports {
  const limit = pLimit(atOnce)
  return {
    async inTurn(work) {
      if (limit.pendingCount >= waitingMost) throw new KobrinProblem('busy')
      const asked = performance.now()
      return limit(() => {
        if (performance.now() - asked > patienceMs) throw new KobrinProblem('busy')
        return work()
      })
    },
  }
}
