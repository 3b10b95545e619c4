import type { Receipt } from '@kobrin/contract'
import type { Entry, Sheet } from '@kobrin/core'
import type { Connection } from '../database/connect.ts'
import { errnoOf } from '../database/connect.ts'
import { CONTENDED, patience, STREAM_LOST } from '../database/contended.ts'
import { isAway, KobrinProblem } from '../errors/problem.ts'
import type { OwnStream } from '../streams/ownStream.ts'
import { appendTogether } from './appendTogether.ts'
import { createFoldMemory } from './foldMemory.ts'

/** Entries appended in one transaction at most. */
const BATCH_MAX = 400
const TRIES = 6
/** Posts that wait at most: more are better kept on their tablets. */
const WAITING_MOST = 2_000

export interface Appender {
  /** Appends what was posted together; receipts come in the order given. */
  append: (entries: readonly Entry[]) => Promise<Receipt[]>
  /** Resolves when everything handed over so far is answered. */
  drained: () => Promise<void>
}

export interface AppenderOptions {
  stream: OwnStream
  /** The sheets in force. */
  sheets: () => Promise<ReadonlyMap<string, Sheet>>
  onAppended: () => void
  /** Told of every attempt to write, with what went wrong. */
  onTried: (error?: unknown) => void
  now: () => string
}

interface Waiting {
  entries: readonly Entry[]
  answer: (receipts: Receipt[]) => void
  fail: (error: unknown) => void
}

/** Appends in one transaction, again for as long as others get in its way. */
function retrying(
  connection: Connection,
  { stream, sheets, now }: Omit<AppenderOptions, 'onAppended' | 'onTried'>,
) {
  const memory = createFoldMemory()
  return async (entries: readonly Entry[]): Promise<Receipt[]> => {
    for (let tries = 1; ; tries += 1) {
      const lease = await stream.lease()
      try {
        const careful = tries > 1
        return await appendTogether(connection, entries, { now: now(), lease, memory, sheets, careful })
      } catch (error) {
        memory.forget(entries.map(({ subject }) => subject))
        const errno = errnoOf(error) ?? 0
        if (errno === STREAM_LOST) stream.lost(lease)
        if (tries >= TRIES || !CONTENDED.has(errno)) throw error
        await patience(tries)
      }
    }
  }
}

/** Gathers what arrives while a transaction is on its way and appends it in the next: one durable
 * commit serves everyone who waits. A batch that cannot be written is retried; if it still cannot, its
 * posts are tried one by one, so that only anyone who posted what cannot be kept hears of it, and nobody is
 * told that something was kept when it was not. */
export function createAppender(
  connection: Connection,
  { onAppended, onTried, ...options }: AppenderOptions,
): Appender {
  const waiting: Waiting[] = []
  let running: Promise<void> | null = null
  const attempt = retrying(connection, options)

  /** The posts at the head of the queue that fit one transaction; a post is never torn apart. */
  function nextBatch(): Waiting[] {
    let count = 0
    const fitting = waiting.findIndex(({ entries }, index) => {
      count += entries.length
      return index > 0 && count > BATCH_MAX
    })
    return waiting.splice(0, fitting === -1 ? waiting.length : fitting)
  }

  async function appendBatch(batch: readonly Waiting[]): Promise<void> {
    try {
      const receipts = await attempt(batch.flatMap(({ entries }) => entries))
      for (const { entries, answer } of batch) answer(receipts.splice(0, entries.length))
      onTried()
      onAppended()
    } catch (error) {
      onTried(error)
      if (batch.length === 1 || isAway(error)) for (const post of batch) post.fail(error)
      else for (const post of batch) await appendBatch([post])
    }
  }

  async function run(): Promise<void> {
    // Let requests that arrived in the same moment in.
    await new Promise((resolve) => setImmediate(resolve))
    for (let batch = nextBatch(); batch.length > 0; batch = nextBatch()) await appendBatch(batch)
    // In the same moment in which nobody was found waiting: anyone who comes next starts over.
    running = null
  }

  return {
    append: (entries) =>
      new Promise((answer, fail) => {
        if (waiting.length >= WAITING_MOST) throw new KobrinProblem('busy')
        waiting.push({ entries, answer, fail })
        running ??= run()
      }),
    drained: async () => {
      while (running) await running
    },
  }
}
