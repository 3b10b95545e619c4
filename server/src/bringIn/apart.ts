import { Worker } from 'node:worker_threads'
import { KobrinProblem } from '../errors/problem.ts'
import type { ListTold, ListWork } from './workOn.ts'

/** A list that is no list, as a body that a route did not take. */
export class BadList extends Error {
  readonly statusCode = 400
}

/** Nobody has brought a list in for so long: the thread goes. */
const IDLE_MS = 120_000

export interface ListsApart {
  /** Somebody is about to bring a list in: the thread is made ready. */
  warm: () => void
  /** Does it in a thread of its own, one after the other: whoever taps meanwhile waits for nothing of it. */
  work: (work: ListWork, onWritten: () => void) => Promise<unknown>
  close: () => Promise<void>
}

/** Hands a piece of work to a worker and waits until it is told how it went. */
function done(worker: Worker, work: ListWork, onWritten: () => void): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const left = () => reject(new Error('the list was left in the middle'))
    const hear = (told: ListTold) => {
      if (told.told === 'written') return onWritten()
      worker.off('message', hear).off('exit', left).off('error', reject)
      if (told.told === 'done') resolve(told.answer)
      else if (told.told === 'badInput') reject(new BadList(told.message))
      else reject(told.told === 'problem' ? new KobrinProblem(told.code) : new Error(told.message))
    }
    worker.on('message', hear).once('exit', left).once('error', reject)
    worker.postMessage(work)
  })
}

/** Brings lists in and takes them back beside everybody else's work, in a thread that stays for the next. */
export function listsApart(): ListsApart {
  let worker: Worker | null = null
  let idle: NodeJS.Timeout | undefined
  let before: Promise<unknown> = Promise.resolve()

  async function letGo(): Promise<void> {
    clearTimeout(idle)
    const ending = worker
    worker = null
    await ending?.terminate()
  }

  function ready(): Worker {
    clearTimeout(idle)
    idle = setTimeout(() => void letGo(), IDLE_MS)
    idle.unref()
    if (worker) return worker
    const begun = new Worker(new URL('./listWorker.mjs', import.meta.url), { execArgv: [] })
    begun.unref()
    begun.once('exit', () => {
      if (worker === begun) worker = null
    })
    // Whoever waits for it is told; with nobody waiting there is nobody to tell.
    begun.on('error', () => undefined)
    worker = begun
    return begun
  }

  return {
    warm: () => void ready(),
    work(work, onWritten) {
      const mine = before.then(async () => {
        const hands = ready()
        clearTimeout(idle)
        try {
          return await done(hands, work, onWritten)
        } finally {
          ready()
        }
      })
      before = mine.catch(() => undefined)
      return mine
    },
    close: letGo,
  }
}
