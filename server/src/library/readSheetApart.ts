import { Worker } from 'node:worker_threads'
import type { JudgedSheet } from './sheetText.ts'

/** A sheet is read in a fraction of this; what takes longer was written to take long. */
const PATIENCE_MS = 5_000
/** A reader is up in a second; on a small machine with all hands full it may take many. */
const START_MS = 60_000

const TANGLED: JudgedSheet = { faults: [{ line: null, field: 'sheet', what: { code: 'tangled' } }] }

/** Reads a sheet that somebody wrote, apart from everybody else's work: whatever the text does to its
 * reader, it is over in a moment and the house goes on. The moment counts from when the reader is up,
 * so that a busy machine does not find fault with a good sheet. */
export function readSheetApart(text: string, patienceMs = PATIENCE_MS): Promise<JudgedSheet> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./sheetWorker.mjs', import.meta.url), {
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: 192 },
    })
    let timer = setTimeout(() => {
      reject(new Error('the reader of sheets did not start'))
      void worker.terminate()
    }, START_MS)
    function end(read: JudgedSheet): void {
      clearTimeout(timer)
      resolve(read)
      void worker.terminate()
    }
    worker.once('message', () => {
      clearTimeout(timer)
      timer = setTimeout(() => end(TANGLED), patienceMs)
      worker.once('message', end)
      worker.postMessage(text)
    })
    worker.once('error', () => end(TANGLED))
    worker.once('exit', () => end(TANGLED))
  })
}
