import type { Receipt } from '@kobrin/contract'
import type { Draft, Entry, ResidentState } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowReactive, shallowRef } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { api, ApiProblem, Unreachable } from '../wire/api.ts'
import { followFeed } from './feed.ts'
import { createLedger } from './ledger.ts'
import type { Outbox, Shelf } from './outbox.ts'
import type * as Writing from './writing.ts'

export interface Refused {
  entry: Entry
  why: string
}

/** What is needed to write and to hear others, once it is here. */
type Writer = typeof Writing & { shelf: Shelf; outbox: Outbox }

/** The last thing done here, for the strip that takes it back. */
export interface LastAct {
  entries: Entry[]
  says: string
}

const RETRY_LATER = new Set([401, 429, 500, 502, 503, 504])

/** Can the same request succeed later, or under another sign-in? */
function canWait(error: unknown): boolean {
  return error instanceof Unreachable || (error instanceof ApiProblem && RETRY_LATER.has(error.status))
}

/** The shared record as this device knows it: what is kept, what waits, what others just did. */
export const useRecord = defineStore('record', () => {
  const people = usePeople()
  const site = useSite()
  const today = useToday()
  let writer: Writer | null = null
  let opening: Promise<Writer> | null = null
  const ledger = createLedger((base, since) => {
    if (!writer) throw new Error('Nothing can have been written or heard yet.')
    return writer.continueFrom(base, since)
  })
  /** Reactive entry by entry: a box wakes only for its own. */
  const waiting = shallowReactive(new Set<string>())
  const refused = shallowRef<readonly Refused[]>([])
  const linked = shallowRef(true)
  const needsSignIn = shallowRef(false)
  const lastAct = shallowRef<LastAct | null>(null)
  const ready = shallowRef(false)
  let stopFeed: (() => void) | null = null

  async function reload(residentId: string): Promise<void> {
    try {
      const { states } = await api.states([residentId])
      const told = states[residentId]
      if (told) ledger.load(residentId, told.seq, told.state)
    } catch {
      // Cut off: the next word about this resident asks again.
    }
  }

  function onReceipt(receipt: Receipt, entry: Entry): void {
    waiting.delete(entry.uid)
    if (receipt.status === 'accepted') {
      if (ledger.heard({ ...entry, seq: receipt.seq, recordedAt: entry.occurredAt }))
        void reload(entry.residentId)
      return
    }
    ledger.drop(entry)
    refused.value = [...refused.value, { entry, why: receipt.message }]
  }

  function onTrouble(error: unknown): void {
    if (error instanceof ApiProblem && error.status === 401) needsSignIn.value = true
    if (!canWait(error)) console.error(error)
  }

  async function openWriter(): Promise<Writer> {
    const writing = await import('./writing.ts')
    const shelf = await writing.openShelf()
    const outbox = writing.createOutbox({ shelf, post: api.append, canWait, onReceipt, onTrouble })
    const left = await shelf.all()
    writer = { ...writing, shelf, outbox }
    const unsent = left.filter(({ refusal }) => refusal === undefined).map(({ entry }) => entry)
    ledger.add(unsent)
    for (const { uid } of unsent) waiting.add(uid)
    refused.value = left.flatMap(({ entry, refusal }) =>
      refusal === undefined ? [] : [{ entry, why: refusal }],
    )
    globalThis.addEventListener('online', () => void outbox.send())
    return writer
  }

  function follow({ outbox }: Writer, head: number): void {
    stopFeed?.()
    stopFeed = followFeed({
      after: head,
      onLink: (is) => {
        linked.value = is
        if (is) void outbox.send()
      },
      onSite: () => void site.load().catch(() => undefined),
      onEntry: (entry) => {
        waiting.delete(entry.uid)
        if (ledger.heard(entry)) void reload(entry.residentId)
      },
    })
  }

  /** Loads the site and everyone's state, takes up what waited here, and follows the feed. */
  async function open(): Promise<void> {
    opening ??= openWriter()
    opening.catch(() => (opening = null))
    const [, { head, states }] = await Promise.all([site.load(), api.states()])
    for (const [residentId, { seq, state }] of Object.entries(states)) ledger.load(residentId, seq, state)
    needsSignIn.value = false
    ready.value = true
    try {
      const opened = await opening
      follow(opened, head)
      void opened.outbox.send()
    } catch (error) {
      // What cannot be kept here must not look as if it could be.
      ready.value = false
      throw error
    }
  }

  function close(): void {
    stopFeed?.()
    stopFeed = null
    writer?.outbox.stop()
    ready.value = false
    lastAct.value = null
  }

  /** Keeps what somebody just said: on the screen at once, on this device before anything else,
   * on the server as soon as it can be reached. */
  function keep(drafts: readonly Draft[], says: string): void {
    const author = people.person?.id
    if (!author || drafts.length === 0) return
    const said = drafts.map((draft) => {
      const { at, day } = today.moment()
      return { ...draft, occurredAt: at, day, author }
    })
    const put = ({ newUid, outbox }: Writer) => {
      const entries = said.map((one) => ({ ...one, uid: newUid() }))
      ledger.add(entries)
      for (const { uid } of entries) waiting.add(uid)
      lastAct.value = { entries, says }
      void outbox.add(entries)
    }
    if (writer) put(writer)
    else void opening?.then(put, () => undefined)
  }

  function takeBack(): void {
    const act = lastAct.value
    if (!act) return
    const drafts = act.entries.map((entry): Draft => ({
      residentId: entry.residentId,
      kind: 'retracted',
      payload: { target: entry.uid, why: 'Taken back.' },
    }))
    keep(drafts, `Taken back: ${act.says}`)
    lastAct.value = null
  }

  async function forgetRefused(uid: string): Promise<void> {
    await writer?.shelf.remove(uid)
    refused.value = refused.value.filter(({ entry }) => entry.uid !== uid)
  }

  const waitingCount = computed(() => waiting.size)
  const stateOf = (residentId: string): ResidentState => ledger.stateOf(residentId)
  const recent = (residentId: string): readonly Entry[] => ledger.recent(residentId)

  return {
    waiting,
    waitingCount,
    refused,
    linked,
    needsSignIn,
    lastAct,
    ready,
    open,
    close,
    keep,
    takeBack,
    forgetRefused,
    stateOf,
    recent,
  }
})
