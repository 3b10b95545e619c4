import type { Receipt } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { Connection } from '../database/connect.ts'
import { errnoOf } from '../database/connect.ts'
import { appendTogether } from './appendTogether.ts'
import { createFoldMemory } from './foldMemory.ts'

/** Entries appended in one transaction at most. */
const BATCH_MAX = 400
const TRIES = 5
/** Deadlock, lock wait, and a uid that was kept before or that another server is writing. */
const RETRYABLE = new Set([1213, 1205, 1062])

export interface Appender {
  /** Appends what was posted together; receipts come in the order given. */
  append: (entries: readonly Entry[]) => Promise<Receipt[]>
  /** Resolves when everything handed over so far is answered. */
  drained: () => Promise<void>
}

interface Waiting {
  entries: readonly Entry[]
  answer: (receipts: Receipt[]) => void
  fail: (error: unknown) => void
}

/** Gathers what arrives while a transaction is on its way and appends it in the next: one durable
 * commit serves everyone who waits. A batch that cannot be written is retried; if it still cannot,
 * every caller hears why, and nobody is told that something was kept when it was not. */
export function createAppender(
  connection: Connection,
  { onAppended, now = () => new Date().toISOString() }: { onAppended: () => void; now?: () => string },
): Appender {
  const waiting: Waiting[] = []
  let running: Promise<void> | null = null
  const memory = createFoldMemory()

  async function attempt(entries: readonly Entry[]): Promise<Receipt[]> {
    for (let tries = 1; ; tries += 1) {
      try {
        return await appendTogether(connection, entries, { now: now(), careful: tries > 1, memory })
      } catch (error) {
        if (tries >= TRIES || !RETRYABLE.has(errnoOf(error) ?? 0)) throw error
      }
    }
  }

  /** The posts at the head of the queue that fit one transaction; a post is never torn apart. */
  function nextBatch(): Waiting[] {
    let count = 0
    const fitting = waiting.findIndex(({ entries }, index) => {
      count += entries.length
      return index > 0 && count > BATCH_MAX
    })
    return waiting.splice(0, fitting === -1 ? waiting.length : fitting)
  }

  async function run(): Promise<void> {
    // Let requests that arrived in the same moment in.
    await new Promise((resolve) => setImmediate(resolve))
    for (let batch = nextBatch(); batch.length > 0; batch = nextBatch()) {
      try {
        const receipts = await attempt(batch.flatMap(({ entries }) => entries))
        for (const { entries, answer } of batch) answer(receipts.splice(0, entries.length))
        onAppended()
      } catch (error) {
        for (const { fail } of batch) fail(error)
      }
    }
    // In the same moment in which nobody was found waiting: whoever comes next starts anew.
    running = null
  }

  return {
    append: (entries) =>
      new Promise((answer, fail) => {
        waiting.push({ entries, answer, fail })
        running ??= run()
      }),
    drained: async () => {
      while (running) await running
    },
  }
}
