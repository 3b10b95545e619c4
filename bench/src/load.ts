import { fork } from 'node:child_process'
import { once } from 'node:events'
import { setTimeout as sleep } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import { ROUTES } from '@kobrin/contract'
import type { House } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { median, ms, quantile } from './figures.ts'
import type { Session } from './session.ts'
import { openSession } from './session.ts'
import { waterings } from './waterings.ts'

const READING = fileURLToPath(new URL('./reading.ts', import.meta.url))
const CLIENTS = 32
const PER_SECOND = 200
/** Thirty seconds in turns, alone and beside readers, so that a disk that stalls befalls both alike. */
const TURNS = 5
const SECONDS = 6
const WARM_UP_SECONDS = 5
const READERS = 20

/** Entries at an even pace, from as many clients as the session has connections, whether or not the one before was answered; how long each waited from the
 * moment at which it was said, milliseconds. */
export async function atAnEvenPace(
  session: Session,
  { aheadMs, seconds }: { aheadMs: number; seconds: number },
): Promise<number[]> {
  const entry = waterings(session.site, aheadMs)
  const everyMs = 1000 / PER_SECOND
  const from = performance.now()
  const waits: number[] = []
  async function client(which: number): Promise<void> {
    for (let at = which * everyMs; at < seconds * 1000; at += session.connections * everyMs) {
      const early = from + at - performance.now()
      if (early > 0) await sleep(early)
      const text = await session.call('POST', ROUTES.append.url, { entries: [entry()] }, which)
      if (!text.includes('accepted')) throw new Error(text)
      waits.push(performance.now() - (from + at))
    }
  }
  await Promise.all(Array.from({ length: session.connections }, (_, which) => client(which)))
  return waits
}

interface Readers {
  /** Lets them read until the work is done. */
  during: <T>(work: () => Promise<T>) => Promise<T>
  /** How often the house was read. */
  stop: () => Promise<number>
}

/** Readers in a process of their own, so that what they cost is not counted as the server's waiting. */
async function readersOf(url: string): Promise<Readers> {
  const readers = fork(READING, [url, String(READERS)])
  const answered = async () => (await once(readers, 'message'))[0] as number
  await answered()
  return {
    async during(work) {
      readers.send('read')
      const result = await work()
      readers.send('pause')
      await answered()
      return result
    },
    stop() {
      readers.send('stop')
      return answered()
    },
  }
}

/** What keepers' taps wait for while twenty tablets open the house again and again. */
export async function loadFigures(house: House): Promise<Figure[]> {
  const session = await openSession(house.url, CLIENTS)
  const readers = await readersOf(house.url)
  const { aheadMs } = house
  const pace = (seconds = SECONDS) => atAnEvenPace(session, { aheadMs, seconds })
  await pace(WARM_UP_SECONDS)
  const alone: number[][] = []
  const beside: number[][] = []
  for (let turn = 0; turn < TURNS; turn += 1) {
    alone.push(await pace())
    beside.push(await readers.during(pace))
  }
  const read = await readers.stop()
  session.close()
  const usual = (turns: readonly number[][]) => median(turns.map((waits) => quantile(waits, 0.99)))
  const said = (turns: readonly number[][]) =>
    `p50 ${ms(median(turns.flat()))}, p99 of each turn ${turns.map((waits) => ms(quantile(waits, 0.99))).join(', ')}`
  const about = `${beside.flat().length} entries at ${PER_SECOND}/s from ${CLIENTS} clients beside ${READERS} readers (${read} sites read): ${said(beside)}; alone ${said(alone)}`
  return [
    { name: 'load-p99-ms', value: usual(beside), limit: 60, about },
    { name: 'load-p99-beside-over-alone', value: usual(beside) / usual(alone), limit: 3, about },
  ]
}
