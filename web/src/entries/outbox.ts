import type { BatchAnswer, Proof, Receipt } from '@kobrin/contract'
import type { Entry, PostedEntry } from '@kobrin/core'
import type { Waiting, WaitingStore } from './waitingStore.ts'

/** What an error of a post means: try again later, or never with these entries, or only perhaps. */
export type Hope = 'later' | 'never' | 'perhaps'

export interface OutboxOptions {
  store: WaitingStore
  post: (entries: readonly PostedEntry[], proofs: Record<string, Proof>) => Promise<BatchAnswer>
  hopeFor: (error: unknown) => Hope
  onReceipt: (receipt: Receipt, entry: Entry) => void
  onTrouble: (error: unknown) => void
  /** Whether what lies in the store is sent from here: another tab may be at it. */
  mayEmpty?: () => boolean
  /** Entries that this device cannot store: they are only in this page, and sent from here. */
  onUnstored?: (count: number) => void
  /** Milliseconds to wait before try n, from 1. */
  backoff?: (tries: number) => number
  later?: (task: () => void, ms: number) => () => void
}

export interface Outbox {
  /** Keeps entries on this device, or in this page where it cannot, and sends them. */
  add: (waiting: readonly Waiting[]) => Promise<void>
  /** Try now. */
  send: () => Promise<void>
  stop: () => void
}

const BATCH = 100
/** How often a single entry that the server stumbles over is tried before it is set aside. */
const STUMBLES_MOST = 3

function doubling(tries: number): number {
  return Math.min(30_000, 500 * 2 ** tries)
}

function laterByTimer(task: () => void, ms: number): () => void {
  const timer = setTimeout(task, ms)
  return () => clearTimeout(timer)
}

export function posted({ day: _day, ...entry }: Entry): PostedEntry {
  return entry
}

/** Entries that are sent together or not at all: those of one doing. */
function doingsOf(waiting: readonly Waiting[]): Waiting[][] {
  const doings: Waiting[][] = []
  for (const one of waiting) {
    const last = doings.at(-1)
    const act = one.entry.act
    if (act !== undefined && last?.[0]?.entry.act === act) last.push(one)
    else doings.push([one])
  }
  return doings
}

/** The first entries up to a size; a doing is never torn apart. */
function headOf(doings: readonly Waiting[][], most: number): Waiting[][] {
  let count = 0
  const fitting = doings.findIndex((doing, index) => {
    count += doing.length
    return index > 0 && count > most
  })
  return doings.slice(0, fitting === -1 ? doings.length : fitting)
}

/** Something the server stumbled over, that may go another time. */
interface Stumble {
  over: readonly Waiting[]
  error: unknown
}

/** Sends waiting entries in the order they were made, and tries again until each has its receipt. One that
 * the server refuses, or cannot store, is kept with the reason and stops nothing that waits behind it;
 * nothing typed is thrown away. */
export function createOutbox({
  store,
  post,
  hopeFor,
  onReceipt,
  onTrouble,
  onUnstored = () => undefined,
  mayEmpty = () => true,
  backoff = doubling,
  later = laterByTimer,
}: OutboxOptions): Outbox {
  let tries = 0
  let sending = Promise.resolve()
  let cancel: (() => void) | null = null
  /** What this device could not store. */
  let unstored: Waiting[] = []
  const stumbles = new Map<string, number>()

  function keepUnstored(waiting: readonly Waiting[]): void {
    unstored = [...waiting]
    onUnstored(unstored.length)
  }

  async function everything(): Promise<Waiting[]> {
    const stored = mayEmpty() ? await store.all().catch(() => []) : []
    const known = new Set(stored.map(({ entry }) => entry.uid))
    return [...stored, ...unstored.filter(({ entry }) => !known.has(entry.uid))].filter(
      ({ refusal }) => refusal === undefined,
    )
  }

  async function settle(receipt: Receipt, { entry }: Waiting): Promise<void> {
    if (receipt.status === 'accepted') {
      keepUnstored(unstored.filter((one) => one.entry.uid !== entry.uid))
      await store.remove(entry.uid).catch(() => undefined)
    } else {
      keepUnstored(
        unstored.map((one) => (one.entry.uid === entry.uid ? { ...one, refusal: receipt.message } : one)),
      )
      await store.refuse(entry.uid, receipt.message).catch(() => undefined)
    }
    stumbles.delete(entry.uid)
    onReceipt(receipt, entry)
  }

  /** The server can do nothing with these, however often they are sent. */
  async function setAside(doing: readonly Waiting[], error: unknown): Promise<void> {
    const message = error instanceof Error ? error.message : String(error)
    for (const one of doing)
      await settle({ uid: one.entry.uid, status: 'refused', code: 'cannot_be_stored', message }, one)
  }

  function hasStumbled(doing: readonly Waiting[]): boolean {
    const uid = doing[0]?.entry.uid ?? ''
    const count = (stumbles.get(uid) ?? 0) + 1
    stumbles.set(uid, count)
    return count >= STUMBLES_MOST
  }

  async function postAll(doings: readonly Waiting[][]): Promise<void> {
    const waiting = doings.flat()
    const proofs = waiting.flatMap(({ entry, proof }) => (proof ? [[entry.uid, proof] as const] : []))
    const { receipts } = await post(
      waiting.map(({ entry }) => posted(entry)),
      Object.fromEntries(proofs),
    )
    const byUid = new Map(receipts.map((receipt) => [receipt.uid, receipt]))
    for (const one of waiting) {
      const receipt = byUid.get(one.entry.uid)
      if (!receipt) throw new Error('The server answered without a receipt.')
      await settle(receipt, one)
    }
  }

  /** Sends a batch; one that fails without hope is halved until what is to blame is alone. Answers what the
   * server stumbled over, to be tried again; throws what can only be waited for. */
  async function deliver(doings: readonly Waiting[][]): Promise<Stumble[]> {
    try {
      await postAll(doings)
      tries = 0
      return []
    } catch (error) {
      const hope = hopeFor(error)
      if (hope === 'later') throw error
      const [first] = doings
      if (doings.length > 1) {
        const half = Math.ceil(doings.length / 2)
        const before = await deliver(doings.slice(0, half))
        return [...before, ...(await deliver(doings.slice(half)))]
      }
      if (!first) return []
      if (hope === 'perhaps' && !hasStumbled(first)) return [{ over: first, error }]
      await setAside(first, error)
      return []
    }
  }

  async function sendAll(): Promise<void> {
    const stumbled: Stumble[] = []
    for (;;) {
      const passed = new Set(stumbled.map(({ over }) => over[0]?.entry.uid))
      const doings = doingsOf(await everything()).filter(([one]) => !passed.has(one?.entry.uid))
      const batch = headOf(doings, BATCH)
      if (batch.length === 0) break
      stumbled.push(...(await deliver(batch)))
    }
    const [first] = stumbled
    if (first) throw first.error
  }

  async function attempt(): Promise<void> {
    cancel?.()
    cancel = null
    try {
      await sendAll()
    } catch (error) {
      onTrouble(error)
      tries += 1
      cancel = later(() => void send(), backoff(tries))
    }
  }

  // One round at a time: entries leave in the order they were made. What is added meanwhile is
  // found by the round on its way, or starts the next.
  function send(): Promise<void> {
    sending = sending.then(attempt)
    return sending
  }

  return {
    async add(waiting) {
      try {
        await store.put(waiting)
      } catch {
        keepUnstored([...unstored, ...waiting])
      }
      void send()
    },
    send,
    stop: () => cancel?.(),
  }
}
