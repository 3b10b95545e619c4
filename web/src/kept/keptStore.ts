import type { Bookmark, KeptEntry, Me, Person, PlanBook, Site } from '@kobrin/contract'
import { isPast } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import type { DBSchema, IDBPDatabase } from 'idb'
import { openDB } from 'idb'
import type { ServedFold } from '../entries/ledger.ts'

/** A fold as it lies on this device. */
export interface KeptFold extends ServedFold {
  subject: string
  /** Set when only the server can tell what later entries made of it. */
  stale?: true
}

/** Who can take over this tablet without a link: proven by PIN while there was one. */
export interface KeptPin {
  personId: string
  salt: Uint8Array<ArrayBuffer>
  hash: Uint8Array<ArrayBuffer>
  me: Me
  /** When the server last let this person in, milliseconds. */
  provenAt: number
  /** Wrong ones since. */
  wrong: number
}

/** Entries about one subject of one day. */
interface KeptDay {
  subject: string
  day: number
  entries: KeptEntry[]
}

/** What is kept once: each by its name. */
export interface KeptThings {
  site: Site
  book: PlanBook
  /** The revision of the folds that lie here; those of before it was said are of the third. */
  revision: number
  /** How far the feed is in the folds that lie here. */
  head: Bookmark
  clockBehind: number
  /** Who was at this screen last; null when it was handed over. */
  me: Me | null
  team: readonly Person[]
  /** Set when somebody handed this tablet over and the server has not been told. */
  handedOver: boolean
  /** The days whose entries lie here. */
  days: readonly number[]
}

interface KeptSchema extends DBSchema {
  folds: { key: string; value: KeptFold }
  things: { key: string; value: unknown }
  pins: { key: string; value: KeptPin }
  answers: { key: string; value: unknown }
  /** Made here and kept by the server, and not yet in a fold that lies here. */
  sent: { key: string; value: KeptEntry }
  lately: { key: [string, number]; value: KeptDay; indexes: { day: number } }
}

type Db = IDBPDatabase<KeptSchema>

const VERSION = 2

/** Opens the store when it is first needed, and does things with it; where it cannot, answers what it is told to
 * answer then. */
function openKept(name: string, open: typeof openDB) {
  let opened: Promise<Db> | null = null

  function db(): Promise<Db> {
    opened ??= open<KeptSchema>(name, VERSION, {
      upgrade(fresh, before) {
        if (before < 2)
          fresh.createObjectStore('lately', { keyPath: ['subject', 'day'] }).createIndex('day', 'day')
        if (before > 0) return
        fresh.createObjectStore('folds', { keyPath: 'subject' })
        fresh.createObjectStore('things')
        fresh.createObjectStore('pins', { keyPath: 'personId' })
        fresh.createObjectStore('answers')
        fresh.createObjectStore('sent', { keyPath: 'uid' })
      },
      blocking: () => void forget(),
      terminated: () => (opened = null),
    })
    opened.catch(() => (opened = null))
    return opened
  }

  async function forget(): Promise<void> {
    const closing = opened
    opened = null
    ;(await closing)?.close()
  }

  return async function attempt<T>(act: (db: Db) => Promise<T>, otherwise: T): Promise<T> {
    try {
      return await act(await db())
    } catch {
      return otherwise
    }
  }
}

function groupedByDay(entries: readonly KeptEntry[]): KeptDay[] {
  const days = new Map<string, KeptDay>()
  for (const entry of entries) {
    const { subject, day } = entry
    const key = `${day} ${subject}`
    const said = days.get(key) ?? { subject, day, entries: [] }
    said.entries.push(entry)
    days.set(key, said)
  }
  return [...days.values()]
}

type Attempt = ReturnType<typeof openKept>

/** What was said of the last days, by subject and day. */
function latelyIn(attempt: Attempt) {
  const doing = (act: (db: Db) => Promise<unknown>): Promise<unknown> => attempt(act, undefined)
  return {
    /** Entries of the last days, each once. */
    keepLately: (entries: readonly KeptEntry[]) =>
      doing(async (at) => {
        const tx = at.transaction('lately', 'readwrite')
        for (const said of groupedByDay(entries)) {
          const before = await tx.store.get([said.subject, said.day])
          const others = (before?.entries ?? []).filter(
            ({ uid }) => !said.entries.some((one) => one.uid === uid),
          )
          await tx.store.put({ ...said, entries: [...others, ...said.entries] })
        }
        await tx.done
      }),
    /** Entries of the last days about somebody. */
    lately: (subject: string) =>
      attempt(async (at) => {
        const days = await at.getAll('lately', IDBKeyRange.bound([subject], [subject, []]))
        return days.flatMap(({ entries }) => entries)
      }, []),
    forgetBefore: (day: number) =>
      doing(async (at) => {
        const tx = at.transaction('lately', 'readwrite')
        const old = IDBKeyRange.upperBound(day, true)
        for (const key of await tx.store.index('day').getAllKeys(old)) await tx.store.delete(key)
        await tx.done
      }),
  }
}

/** What this device keeps of the house, so that a round can be walked without a link. Nothing in it is the only
 * copy of anything: what waits to be sent lies elsewhere. Where the device cannot keep it, it is as if nothing
 * had been kept. */
export function createKeptStore(name = 'kobrin-kept', open: typeof openDB = openDB) {
  const attempt = openKept(name, open)
  const doing = (act: (db: Db) => Promise<unknown>): Promise<unknown> => attempt(act, undefined)

  return {
    thing: <K extends keyof KeptThings>(key: K) =>
      attempt(async (at) => (await at.get('things', key)) as KeptThings[K] | undefined, undefined),
    keepThing: <K extends keyof KeptThings>(key: K, value: KeptThings[K]) =>
      doing((at) => at.put('things', value, key)),
    folds: () => attempt((at) => at.getAll('folds'), []),
    /** Folds and how far they reach, together or not at all. `anew` forgets all others. */
    keepFolds: (folds: readonly KeptFold[], head: Bookmark, { anew = false } = {}) =>
      attempt(async (at) => {
        const tx = at.transaction(['folds', 'things', 'sent', 'lately'], 'readwrite')
        const store = tx.objectStore('folds')
        const sent = tx.objectStore('sent')
        if (anew) {
          await store.clear()
          // What was said may not have been: it comes again.
          await tx.objectStore('lately').clear()
          await tx.objectStore('things').delete('days')
        }
        const fromFeed = (await sent.getAll()).filter((entry) => isPast(head, entry))
        await Promise.all([
          ...folds.map((fold) => store.put(fold)),
          ...fromFeed.map(({ uid }) => sent.delete(uid)),
          tx.objectStore('things').put(head, 'head'),
          tx.objectStore('things').put(FOLD_REVISION, 'revision'),
          tx.done,
        ])
        return true
      }, false),
    sent: () => attempt((at) => at.getAll('sent'), []),
    keepSent: (entry: KeptEntry) => doing((at) => at.put('sent', entry)),
    ...latelyIn(attempt),
    pin: (personId: string) => attempt((at) => at.get('pins', personId), undefined),
    keepPin: (pin: KeptPin) => doing((at) => at.put('pins', pin)),
    answers: {
      getItem: (key: string) => attempt((at) => at.get('answers', key), undefined),
      setItem: (key: string, value: unknown) => doing((at) => at.put('answers', value, key)),
      removeItem: (key: string) => doing((at) => at.delete('answers', key)),
    },
    /** Everything goes but the PINs of an enrolled tablet. */
    clear: () =>
      attempt(async (at) => {
        const tx = at.transaction(['folds', 'things', 'answers', 'sent', 'lately'], 'readwrite')
        await Promise.all([
          tx.objectStore('folds').clear(),
          tx.objectStore('lately').clear(),
          tx.objectStore('things').clear(),
          tx.objectStore('answers').clear(),
          tx.objectStore('sent').clear(),
          tx.done,
        ])
      }, undefined),
  }
}

export type KeptStore = ReturnType<typeof createKeptStore>

/** The one of this browser. */
export const kept = createKeptStore()
