import type { KeptEntry } from '@kobrin/contract'
import type { continueFrom, Entry, ResidentState } from '@kobrin/core'
import { emptyState } from '@kobrin/core'
import { shallowReactive } from 'vue'

interface Page {
  /** The fold as the server told it, and how far in the feed it reaches. */
  base: ResidentState
  seq: number
  /** Entries after it: our own, waiting or kept, and everyone else's. */
  since: Entry[]
  /** False when only the server can tell what they add up to. */
  complete: boolean
}

export interface Ledger {
  /** What is believed about a resident, waiting entries included. Reactive by resident. */
  stateOf: (residentId: string) => ResidentState
  load: (residentId: string, seq: number, state: ResidentState) => void
  /** Something made here. */
  add: (entries: readonly Entry[]) => void
  /** Something the server kept, ours or not. True when only the server can tell what it adds up to. */
  heard: (entry: KeptEntry) => boolean
  /** The server would not keep it. */
  drop: (entry: Entry) => void
  recent: (residentId: string) => readonly Entry[]
}

const NOTHING = emptyState()

/** Every resident's state in the browser: the server's folds, carried on by the same `reduce`.
 * `carryOn` is not asked before something was added or heard. */
export function createLedger(carryOn: typeof continueFrom): Ledger {
  const pages = new Map<string, Page>()
  const believed = shallowReactive(new Map<string, ResidentState>())

  function refold(residentId: string, page: Page): boolean {
    const { state, complete } =
      page.since.length > 0 ? carryOn(page.base, page.since) : { state: page.base, complete: true }
    page.complete = complete
    believed.set(residentId, state)
    return complete
  }

  function pageOf(residentId: string): Page {
    const page = pages.get(residentId) ?? { base: NOTHING, seq: 0, since: [], complete: true }
    pages.set(residentId, page)
    return page
  }

  return {
    stateOf: (residentId) => believed.get(residentId) ?? NOTHING,
    load(residentId, seq, state) {
      const before = pages.get(residentId)
      // What the fold already holds goes; what waits or came later stays.
      const since = (before?.since ?? []).filter(
        (entry) => !('seq' in entry) || (entry as KeptEntry).seq > seq,
      )
      const page = { base: state, seq, since, complete: true }
      pages.set(residentId, page)
      refold(residentId, page)
    },
    add(entries) {
      const touched = new Set<string>()
      for (const entry of entries) {
        pageOf(entry.residentId).since.push(entry)
        touched.add(entry.residentId)
      }
      for (const residentId of touched) refold(residentId, pageOf(residentId))
    },
    heard(entry) {
      const page = pageOf(entry.residentId)
      if (entry.seq <= page.seq) {
        page.since = page.since.filter(({ uid }) => uid !== entry.uid)
        return !refold(entry.residentId, page)
      }
      const at = page.since.findIndex(({ uid }) => uid === entry.uid)
      if (at !== -1) {
        // Our own, now kept: it says what it said, so nothing has to be drawn again.
        page.since[at] = entry
        return !page.complete
      }
      page.since.push(entry)
      return !refold(entry.residentId, page)
    },
    drop({ residentId, uid }) {
      const page = pageOf(residentId)
      page.since = page.since.filter((entry) => entry.uid !== uid)
      refold(residentId, page)
    },
    recent: (residentId) => pages.get(residentId)?.since ?? [],
  }
}
