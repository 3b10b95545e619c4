import type { Entry } from '@kobrin/core'
import type { PostedEntry, Receipt } from '@kobrin/contract'
import type { DBSchema, IDBPDatabase } from 'idb'
import { openDB } from 'idb'

/** An entry that waits, with its place in the order of making. */
export interface Waiting {
  entry: Entry
  /** Set when the server would not keep it. */
  refusal?: string
}

interface OutboxSchema extends DBSchema {
  waiting: { key: number; value: Waiting; indexes: { uid: string } }
}

export interface Shelf {
  all: () => Promise<Waiting[]>
  put: (entries: readonly Entry[]) => Promise<void>
  remove: (uid: string) => Promise<void>
  refuse: (uid: string, why: string) => Promise<void>
}

/** Where waiting entries lie while the page is closed. */
export async function openShelf(name = 'kobrin'): Promise<Shelf> {
  const db: IDBPDatabase<OutboxSchema> = await openDB<OutboxSchema>(name, 1, {
    upgrade(fresh) {
      fresh
        .createObjectStore('waiting', { autoIncrement: true })
        .createIndex('uid', 'entry.uid', { unique: true })
    },
  })
  return {
    all: () => db.getAll('waiting'),
    async put(entries) {
      const tx = db.transaction('waiting', 'readwrite', { durability: 'strict' })
      await Promise.all(entries.map((entry) => tx.store.add({ entry })))
      await tx.done
    },
    async remove(uid) {
      const key = await db.getKeyFromIndex('waiting', 'uid', uid)
      if (key !== undefined) await db.delete('waiting', key)
    },
    async refuse(uid, refusal) {
      const tx = db.transaction('waiting', 'readwrite')
      const key = await tx.store.index('uid').getKey(uid)
      const row = key === undefined ? undefined : await tx.store.get(key)
      if (row) await tx.store.put({ ...row, refusal }, key)
      await tx.done
    },
  }
}

export interface OutboxOptions {
  shelf: Shelf
  post: (entries: readonly PostedEntry[]) => Promise<{ receipts: Receipt[] }>
  /** Whether trying again later can help: the network, the server, a sign-in that ran out. */
  canWait: (error: unknown) => boolean
  onReceipt: (receipt: Receipt, entry: Entry) => void
  onTrouble: (error: unknown) => void
  /** Milliseconds to wait before try n, from 1. */
  backoff?: (tries: number) => number
  later?: (task: () => void, ms: number) => () => void
}

export interface Outbox {
  add: (entries: readonly Entry[]) => Promise<void>
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

export function posted({ day: _day, ...entry }: Entry): PostedEntry {
  return entry
}

/** Sends waiting entries in the order they were made, and tries again until each has its receipt.
 * One that the server refuses is kept with the reason; nothing typed is thrown away. */
export function createOutbox({
  shelf,
  post,
  canWait,
  onReceipt,
  onTrouble,
  backoff = doubling,
  later = laterByTimer,
}: OutboxOptions): Outbox {
  let tries = 0
  let sending = Promise.resolve()
  let cancel: (() => void) | null = null

  async function settle(receipt: Receipt, entry: Entry): Promise<void> {
    if (receipt.status === 'accepted') await shelf.remove(entry.uid)
    else await shelf.refuse(entry.uid, receipt.message)
    onReceipt(receipt, entry)
  }

  async function sendAll(): Promise<void> {
    for (;;) {
      const waiting = (await shelf.all()).filter(({ refusal }) => refusal === undefined).slice(0, BATCH)
      if (waiting.length === 0) return
      const { receipts } = await post(waiting.map(({ entry }) => posted(entry)))
      tries = 0
      const byUid = new Map(receipts.map((receipt) => [receipt.uid, receipt]))
      for (const { entry } of waiting) {
        const receipt = byUid.get(entry.uid)
        if (!receipt) throw new Error('The server answered without a receipt.')
        await settle(receipt, entry)
      }
    }
  }

  async function attempt(): Promise<void> {
    cancel?.()
    cancel = null
    try {
      await sendAll()
    } catch (error) {
      onTrouble(error)
      if (!canWait(error)) return
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
    async add(entries) {
      await shelf.put(entries)
      void send()
    },
    send,
    stop: () => cancel?.(),
  }
}
