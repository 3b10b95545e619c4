import type { KeptEntry, Receipt } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { DeliveryOptions, Stumble } from './deliver.ts'
import { createDelivery } from './deliver.ts'
import { createTray } from './tray.ts'
import type { Waiting, WaitingStore } from './waitingStore.ts'

export interface OutboxOptions extends Omit<DeliveryOptions, 'onReceipt'> {
  store: WaitingStore
  onReceipt: (receipt: Receipt, entry: Entry) => void
  onTrouble: (error: unknown) => void
  /** The server has kept it: before it is forgotten here it is known as kept. */
  onKept?: (entry: KeptEntry) => Promise<unknown>
  mayEmpty?: () => boolean
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

function doubling(tries: number): number {
  return Math.min(30_000, 500 * 2 ** tries)
}

function laterByTimer(task: () => void, ms: number): () => void {
  const timer = setTimeout(task, ms)
  return () => clearTimeout(timer)
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

/** Sends waiting entries in the order they were made, and tries again until each has its receipt. One that
 * the server refuses, or cannot store, is kept with the reason and stops nothing that waits behind it;
 * nothing typed is thrown away. */
export function createOutbox({ store, onReceipt, onTrouble, ...options }: OutboxOptions): Outbox {
  const { backoff = doubling, later = laterByTimer } = options
  const { mayEmpty = () => true, onUnstored = () => undefined, onKept } = options
  let tries = 0
  let sending = Promise.resolve()
  let cancel: (() => void) | null = null
  const tray = createTray({ store, mayEmpty, onUnstored })

  const deliver = createDelivery({
    ...options,
    async onReceipt(receipt, { entry }) {
      tries = 0
      if (receipt.status === 'accepted') {
        const { stream, seq } = receipt
        await onKept?.({ ...entry, stream, seq, recordedAt: entry.occurredAt })
        await tray.remove(entry.uid)
      } else await tray.refuse(entry.uid, receipt.message)
      onReceipt(receipt, entry)
    },
  })

  async function sendAll(): Promise<void> {
    const stumbled: Stumble[] = []
    for (;;) {
      const passed = new Set(stumbled.map(({ over }) => over[0]?.entry.uid))
      const doings = doingsOf(await tray.all()).filter(([one]) => !passed.has(one?.entry.uid))
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

  // One at a time: entries leave in the order they were made. What is added meanwhile is
  // found by the sending on its way, or starts the next.
  function send(): Promise<void> {
    sending = sending.then(attempt)
    return sending
  }

  return {
    async add(waiting) {
      await tray.put(waiting)
      void send()
    },
    send,
    stop: () => cancel?.(),
  }
}
