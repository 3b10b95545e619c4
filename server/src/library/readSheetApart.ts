import { Worker } from 'node:worker_threads'
import type { JudgedSheet } from './sheetText.ts'

/** A sheet is read in a fraction of this; what takes longer was written to take long. */
const PATIENCE_MS = 5_000

const TANGLED: JudgedSheet = { faults: [{ line: null, field: 'sheet', what: { code: 'tangled' } }] }

/** Reads a sheet that somebody wrote, apart from everybody else's work: whatever the text does to its
 * reader, it is over in a moment and the house goes on. */
export function readSheetApart(text: string, patienceMs = PATIENCE_MS): Promise<JudgedSheet> {
  return new Promise((resolve) => {
    const worker = new Worker(new URL('./sheetWorker.mjs', import.meta.url), {
      workerData: text,
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: 192 },
    })
    const timer = setTimeout(() => end(TANGLED), patienceMs)
    function end(read: JudgedSheet): void {
      clearTimeout(timer)
      resolve(read)
      void worker.terminate()
    }
    worker.once('message', end)
    worker.once('error', () => end(TANGLED))
    worker.once('exit', () => end(TANGLED))
  })
}
