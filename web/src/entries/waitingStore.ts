import type { Proof } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { DBSchema, IDBPDatabase } from 'idb'
import { openDB } from 'idb'

/** An entry that waits, with its place in the order of making. */
export interface Waiting {
  entry: Entry
  /** That its author was at work, for when somebody else sends it. */
  proof?: Proof
  /** Set when the server would not keep it. */
  refusal?: string
}

/** A picture that waits to be sent before the entry that names it. */
export interface WaitingPhoto {
  bytes: ArrayBuffer
  type: string
  /** When it was taken up here, ms. */
  at: number
}

interface WaitingSchema extends DBSchema {
  waiting: { key: number; value: Waiting; indexes: { uid: string } }
  photos: { key: string; value: WaitingPhoto }
}

/** A picture came to wait here, or left. */
export type PhotoChange = { type: 'came'; id: string } | { type: 'left'; id: string }

/** Where waiting entries lie while the page is closed. */
export interface WaitingStore {
  all: () => Promise<Waiting[]>
  put: (waiting: readonly Waiting[]) => Promise<void>
  remove: (uid: string) => Promise<void>
  refuse: (uid: string, why: string) => Promise<void>
  /** Sends what was refused once more. */
  retry: (uid: string) => Promise<void>
  /** Pictures by the name under which entries speak of them. */
  putPhoto: (id: string, photo: WaitingPhoto) => Promise<void>
  photo: (id: string) => Promise<WaitingPhoto | undefined>
  photoIds: () => Promise<string[]>
  removePhoto: (id: string) => Promise<void>
  /** Reports every picture that comes or leaves, in this page and in others of this browser. Answers how to stop. */
  onPhoto: (hear: (change: PhotoChange) => void) => () => void
}

/** Since the second, pictures wait here too. */
const VERSION = 2

type Db = IDBPDatabase<WaitingSchema>
/** Does something with the store. */
type WithDb = <T>(act: (db: Db) => Promise<T>) => Promise<T>

/** Opens the store when it is first needed, and again when the browser has closed it: it does so when the
 * disk is full, when its data is cleared, or when another tab brings a newer version. */
function reopening(name: string, open: typeof openDB): WithDb {
  let opened: Promise<Db> | null = null

  function connect(): Promise<Db> {
    const opening: Promise<Db> = open<WaitingSchema>(name, VERSION, {
      upgrade(fresh, before) {
        fresh.createObjectStore('photos')
        if (before > 0) return
        fresh
          .createObjectStore('waiting', { autoIncrement: true })
          .createIndex('uid', 'entry.uid', { unique: true })
      },
      blocking() {
        void opening.then((db) => db.close())
        forget(opening)
      },
      terminated: () => forget(opening),
    })
    opening.catch(() => forget(opening))
    return opening
  }

  function forget(closed: Promise<Db>): void {
    if (opened === closed) opened = null
  }

  return async (act) => {
    opened ??= connect()
    const mine = opened
    try {
      return await act(await mine)
    } catch (error) {
      if (!(error instanceof DOMException) || error.name !== 'InvalidStateError') throw error
      // It turned out to be closed: once more.
      forget(mine)
      opened ??= connect()
      return act(await opened)
    }
  }
}

/** Reports to everybody who opened the same store, in this page or another one of this browser. */
function createReports(name: string) {
  const channel = new BroadcastChannel(`${name} photos`)
  const listeners = new Set<(change: PhotoChange) => void>()
  const hear = (change: PhotoChange) => listeners.forEach((listener) => listener(change))
  channel.addEventListener('message', ({ data }) => hear(data as PhotoChange))
  return {
    tell: (change: PhotoChange): void => {
      hear(change)
      // A channel does not hear itself.
      channel.postMessage(change)
    },
    listen: (listener: (change: PhotoChange) => void): (() => void) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}

export function createWaitingStore(name = 'kobrin', open: typeof openDB = openDB): WaitingStore {
  const withDb = reopening(name, open)
  const reports = createReports(name)

  async function change(uid: string, changed: (row: Waiting) => Waiting): Promise<void> {
    await withDb(async (db) => {
      const tx = db.transaction('waiting', 'readwrite')
      const key = await tx.store.index('uid').getKey(uid)
      const row = key === undefined ? undefined : await tx.store.get(key)
      if (row) await tx.store.put(changed(row), key)
      await tx.done
    })
  }

  return {
    all: () => withDb((db) => db.getAll('waiting')),
    put: (waiting) =>
      withDb(async (db) => {
        const tx = db.transaction('waiting', 'readwrite', { durability: 'strict' })
        await Promise.all([...waiting.map((one) => tx.store.add(one)), tx.done])
      }),
    remove: (uid) =>
      withDb(async (db) => {
        const key = await db.getKeyFromIndex('waiting', 'uid', uid)
        if (key !== undefined) await db.delete('waiting', key)
      }),
    refuse: (uid, refusal) => change(uid, (row) => ({ ...row, refusal })),
    retry: (uid) => change(uid, ({ refusal: _refusal, ...row }) => row),
    putPhoto: (id, photo) =>
      withDb(async (db) => {
        await db.put('photos', photo, id)
        reports.tell({ type: 'came', id })
      }),
    photo: (id) => withDb((db) => db.get('photos', id)),
    photoIds: () => withDb((db) => db.getAllKeys('photos')),
    removePhoto: (id) =>
      withDb(async (db) => {
        await db.delete('photos', id)
        reports.tell({ type: 'left', id })
      }),
    onPhoto: reports.listen,
  }
}
