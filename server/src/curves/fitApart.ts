import { once } from 'node:events'
import { Worker } from 'node:worker_threads'
import type { OffCurve, WeightHistory } from '@kobrin/core'

export interface Fitting {
  /** In the order of the histories, null of none. Throws when it is told to stop, or when the worker fails. */
  fit: (histories: readonly (WeightHistory | null)[], signal: AbortSignal) => Promise<(OffCurve | null)[]>
  close: () => Promise<void>
}

/** Fits curves in a thread of their own: a fit takes tens of milliseconds, in which no tap would be answered. The
 * thread is begun with the first and goes when it is closed or has failed. */
export function fittingApart(): Fitting {
  let worker: Worker | null = null

  async function close(): Promise<void> {
    const ending = worker
    worker = null
    await ending?.terminate()
  }

  return {
    async fit(histories, signal) {
      worker ??= new Worker(new URL('./curveWorker.mjs', import.meta.url), { execArgv: [] })
      worker.postMessage(histories)
      try {
        const [fitted] = (await once(worker, 'message', { signal })) as [(OffCurve | null)[]]
        return fitted
      } catch (error) {
        await close()
        throw error
      }
    },
    close,
  }
}
