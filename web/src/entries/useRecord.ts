import type { Bookmark, KeptEntry, Receipt } from '@kobrin/contract'
import { advanced, readBookmark, ROUTES } from '@kobrin/contract'
import type { Draft, Entry, FamilyName, LotState, PlaceState, ResidentState } from '@kobrin/core'
import { emptyLot, emptyPlace, emptyResident } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed, shallowReactive, shallowRef } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useRegister } from '../residents/useRegister.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { ApiProblem, call, Unreachable } from '../wire/call.ts'
import { followFeed } from './feed.ts'
import { gatherReloads } from './gatherReloads.ts'
import type { AnyState } from './ledger.ts'
import { createLedger } from './ledger.ts'
import type { Line, LineMessage } from './line.ts'
import type { Hope, Outbox } from './outbox.ts'
import type { Waiting, WaitingStore } from './waitingStore.ts'
import type * as Writing from './writing.ts'

export interface Refused {
  entry: Entry
  why: string
}

/** What is needed to write and to hear others, once it is here. */
type Writer = typeof Writing & { store: WaitingStore; outbox: Outbox; line: Line }

/** The last thing done here, for the strip that takes it back. */
export interface LastAct {
  entries: Entry[]
  says: string
}

const RETRY_LATER = new Set([401, 408, 429, 502, 503, 504])

/** Can the same request succeed later, or under another sign-in? */
function hopeFor(error: unknown): Hope {
  if (error instanceof Unreachable) return 'later'
  if (!(error instanceof ApiProblem)) return 'perhaps'
  if (RETRY_LATER.has(error.status)) return 'later'
  return error.status >= 500 ? 'perhaps' : 'never'
}

const NOBODY = emptyResident()
const NOWHERE = emptyPlace()
const NOTHING = emptyLot()
const EMPTY: Record<FamilyName, AnyState> = { resident: NOBODY, place: NOWHERE, lot: NOTHING }

/** The shared record as this device knows it: what is kept, what waits, what others just did. */
export const useRecord = defineStore('record', () => {
  const people = usePeople()
  const site = useSite()
  const register = useRegister()
  const today = useToday()
  let writer: Writer | null = null
  let opening: Promise<Writer> | null = null
  let putting = Promise.resolve()
  /** How far the feed was read in this tab, here or by the tab that holds the line. */
  let read: Bookmark = {}

  function needWriter(): Writer {
    if (!writer) throw new Error('Nothing can have been written or heard yet.')
    return writer
  }

  /** Old floors that are kept, by lot. */
  const lots = shallowReactive(new Map<string, LotState>())
  /** Places that wait for something, by enclosure. */
  const waitingPlaces = shallowReactive(new Map<string, NonNullable<PlaceState['waits']>>())
  function putPlace(place: string, { waits }: PlaceState): void {
    if (waits) waitingPlaces.set(place, waits)
    else waitingPlaces.delete(place)
  }

  const ledger = createLedger({
    carryOn: (base, since) => needWriter().continueFrom(base, since),
    emptyOf: (family) => EMPTY[family],
    familyOf: (entry) => (needWriter().isAmendment(entry) ? null : needWriter().familyOf(entry.kind)),
    onBelieved(subject, family, state) {
      if (family === 'resident') register.put(subject, (state as ResidentState).register)
      if (family === 'lot') lots.set(subject, state as LotState)
      if (family === 'place') putPlace(subject, state as PlaceState)
    },
  })
  /** Reactive entry by entry: a box wakes only for its own. */
  const waiting = shallowReactive(new Set<string>())
  const refused = shallowRef<readonly Refused[]>([])
  /** Entries that this device cannot store, and that are lost if the page is closed before they are sent. */
  const unstored = shallowRef(0)
  const linked = shallowRef(true)
  const needsSignIn = shallowRef(false)
  const lastAct = shallowRef<LastAct | null>(null)
  const ready = shallowRef(false)

  async function loadStates(of?: readonly string[]): Promise<Bookmark> {
    const asked = Date.now()
    const querystring = of ? { of: of.join(',') } : {}
    const { head, now, states } = await call(ROUTES.states, { querystring })
    site.setClock(now, asked, Date.now())
    for (const [subject, { family, upTo, state }] of Object.entries(states))
      ledger.load(subject, {
        family,
        upTo: readBookmark(upTo) ?? {},
        state: state as unknown as AnyState,
      })
    return readBookmark(head) ?? {}
  }

  const reload = gatherReloads(loadStates)
  const reloadSite = gatherReloads(() => site.load())

  function hear(entry: KeptEntry): void {
    read = advanced(read, entry)
    waiting.delete(entry.uid)
    if (ledger.heard(entry)) reload(entry.subject)
    // The number of a newcomer is given out by the server.
    if (entry.kind === 'registered') reloadSite('site')
  }

  function settle(receipt: Receipt, entry: Entry): void {
    waiting.delete(entry.uid)
    if (receipt.status === 'accepted') {
      const { stream, seq } = receipt
      if (ledger.heard({ ...entry, stream, seq, recordedAt: entry.occurredAt })) reload(entry.subject)
      return
    }
    ledger.drop(entry)
    if (!refused.value.some((one) => one.entry.uid === entry.uid))
      refused.value = [...refused.value, { entry, why: receipt.message }]
  }

  function askToSignIn(): void {
    if (!needsSignIn.value) needsSignIn.value = true
  }

  function onTrouble(error: unknown): void {
    if (error instanceof ApiProblem && error.status === 401) {
      askToSignIn()
      writer?.line.tell({ type: 'signInNeeded' })
    }
    if (hopeFor(error) !== 'later') console.error(error)
  }

  function added(entries: readonly Entry[]): void {
    ledger.add(entries)
    for (const { uid } of entries) waiting.add(uid)
  }

  /** What another tab tells. */
  function onMessage(message: LineMessage): void {
    switch (message.type) {
      case 'made':
        added(message.entries)
        if (writer?.line.isLeading()) void writer.outbox.send()
        return
      case 'receipt':
        return settle(message.receipt, message.entry)
      case 'heard':
        return hear(message.entry)
      case 'changed':
        return reloadSite('site')
      case 'link':
        linked.value = message.linked
        return
      case 'signInNeeded':
        return askToSignIn()
      case 'hello':
        if (writer?.line.isLeading()) writer.line.tell({ type: 'link', linked: linked.value })
    }
  }

  /** Whether the server closed the line because nobody is signed in here any more. */
  async function onClosed(): Promise<void> {
    const presence = await call(ROUTES.presence).catch(() => null)
    if (!presence || presence.me) return
    askToSignIn()
    writer?.line.tell({ type: 'signInNeeded' })
  }

  /** Holds feed and outbox for all tabs of this browser. */
  function lead(tell: Line['tell'], send: () => void): () => void {
    const stop = followFeed({
      after: () => read,
      onEntry: (entry) => {
        hear(entry)
        tell({ type: 'heard', entry })
      },
      onChange: () => {
        reloadSite('site')
        tell({ type: 'changed' })
      },
      onLink: (is) => {
        linked.value = is
        tell({ type: 'link', linked: is })
        if (is) send()
      },
      onClosed: () => void onClosed(),
    })
    globalThis.addEventListener('online', send)
    send()
    return () => {
      stop()
      globalThis.removeEventListener('online', send)
    }
  }

  async function openWriter(): Promise<Writer> {
    const writing = await import('./writing.ts')
    const store = writing.createWaitingStore()
    const outbox = writing.createOutbox({
      store,
      post: (entries, proofs) => call(ROUTES.append, { body: { entries: [...entries], proofs } }),
      hopeFor,
      onReceipt: (receipt, entry) => {
        settle(receipt, entry)
        writer?.line.tell({ type: 'receipt', receipt, entry })
      },
      onTrouble,
      onUnstored: (count) => (unstored.value = count),
      mayEmpty: () => writer?.line.isLeading() ?? false,
    })
    const line = { tell: () => undefined, isLeading: () => false, close: () => undefined }
    writer = { ...writing, store, outbox, line }
    const left = await store.all().catch((): Waiting[] => [])
    added(left.filter(({ refusal }) => refusal === undefined).map(({ entry }) => entry))
    refused.value = left.flatMap(({ entry, refusal }) =>
      refusal === undefined ? [] : [{ entry, why: refusal }],
    )
    return writer
  }

  function openLine(opened: Writer): void {
    const { outbox } = opened
    const line = opened.openLine({
      onMessage,
      onLead: () =>
        lead(
          (message) => opened.line.tell(message),
          () => void outbox.send(),
        ),
    })
    opened.line = line
  }

  /** Loads the site and everyone's state, takes up what waited here, and follows the feed. */
  async function open(): Promise<void> {
    opening ??= openWriter()
    opening.catch(() => (opening = null))
    const [, head] = await Promise.all([site.load(), loadStates()])
    read = head
    needsSignIn.value = false
    ready.value = true
    const opened = await opening
    opened.line.close()
    openLine(opened)
    void opened.outbox.send()
  }

  function close(): void {
    writer?.line.close()
    writer?.outbox.stop()
    ready.value = false
    lastAct.value = null
  }

  /** On this device before anything else, stamped with the key of this sign-in, and on its way. */
  async function put({ outbox, line, stamped, posted }: Writer, entries: readonly Entry[]): Promise<void> {
    line.tell({ type: 'made', entries: [...entries] })
    const shift = people.me?.shift
    const waits = await Promise.all(
      entries.map(async (entry): Promise<Waiting> => {
        const proof = shift ? await stamped(posted(entry), shift).catch(() => null) : null
        return proof ? { entry, proof } : { entry }
      }),
    )
    await outbox.add(waits)
    // Another tab may hold the line; what lies in the store is sent from there.
    line.tell({ type: 'made', entries: [] })
  }

  interface Keeping {
    /** They are one doing: kept together and taken back together. */
    together?: boolean
  }

  /** Keeps what somebody just said: on the screen at once, on this device before anything else,
   * on the server as soon as it can be reached. */
  function keep(drafts: readonly Draft[], says: string, { together = false }: Keeping = {}): void {
    const author = people.person?.id
    if (!author || drafts.length === 0) return
    const said = drafts.map((draft) => {
      const { at, day } = today.moment()
      return { ...draft, occurredAt: at, day, author }
    })
    const make = (by: Writer) => {
      const act = together && said.length > 1 ? { act: by.newUid() } : {}
      const entries = said.map((one) => ({ ...one, ...act, uid: by.newUid() }))
      added(entries)
      lastAct.value = { entries, says }
      // Stamping takes a moment: what was said first is sent first all the same.
      putting = putting.then(() => put(by, entries))
    }
    if (writer) make(writer)
    else void opening?.then(make, () => undefined)
  }

  function retractions(entries: readonly Pick<Entry, 'uid' | 'subject'>[], why: string): Draft[] {
    return entries.map(({ subject, uid }) => ({ subject, kind: 'retracted', payload: { target: uid, why } }))
  }

  function takeBack(): void {
    const act = lastAct.value
    if (!act) return
    const together = act.entries.some((entry) => entry.act !== undefined)
    keep(retractions(act.entries, 'Taken back.'), `Taken back: ${act.says}`, { together })
    lastAct.value = null
  }

  /** Takes back one entry of the past, with everything that was done together with it. */
  async function takeBackEntry(entry: Entry, why: string, says: string): Promise<void> {
    if (entry.act === undefined) return keep(retractions([entry], why), says)
    const { entries } = await call(ROUTES.act, { params: { act: entry.act } })
    const facts = entries.filter(({ kind }) => kind !== 'retracted' && kind !== 'corrected')
    keep(retractions(facts, why), says, { together: true })
  }

  async function forgetRefused(uid: string): Promise<void> {
    await writer?.store.remove(uid).catch(() => undefined)
    refused.value = refused.value.filter(({ entry }) => entry.uid !== uid)
  }

  async function retryRefused(uid: string): Promise<void> {
    const one = refused.value.find(({ entry }) => entry.uid === uid)
    if (!one || !writer) return
    await writer.store.retry(uid)
    refused.value = refused.value.filter(({ entry }) => entry.uid !== uid)
    added([one.entry])
    void writer.outbox.send()
  }

  const waitingCount = computed(() => waiting.size)

  return {
    waiting,
    waitingCount,
    refused,
    unstored,
    linked,
    needsSignIn,
    lastAct,
    ready,
    lots,
    waitingPlaces,
    open,
    close,
    keep,
    takeBack,
    takeBackEntry,
    forgetRefused,
    retryRefused,
    stateOf: (residentId: string) => (ledger.stateOf(residentId) ?? NOBODY) as ResidentState,
    placeState: (placeId: string) => (ledger.stateOf(placeId) ?? NOWHERE) as PlaceState,
    recent: (subject: string): readonly Entry[] => ledger.recent(subject),
  }
})
