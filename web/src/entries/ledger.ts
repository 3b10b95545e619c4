import type { Bookmark, KeptEntry } from '@kobrin/contract'
import { furthest, isBehind, isPast } from '@kobrin/contract'
import type { Continued, continueFrom, Echo, Entry, FamilyName } from '@kobrin/core'
import { shallowReactive } from 'vue'
import type { AnyState, Page } from './page.ts'
import { isKept, isLong, isOwn } from './page.ts'
import type { SpreadOptions } from './spreading.ts'
import { createSpreading } from './spreading.ts'

/** A subject's fold as the server told it, and how far in the feed it reaches. */
export interface ServedFold {
  family: FamilyName
  state: AnyState
  upTo: Bookmark
}

export interface LedgerOptions extends SpreadOptions {
  /** The same fold the server runs. Not asked before something was added or heard. */
  carryOn: typeof continueFrom
  emptyOf: (family: FamilyName) => AnyState
  familyOf: (entry: Entry) => FamilyName | null
  /** Whether a subject begins with an entry. */
  begins: (entry: Entry) => boolean
  /** What is believed about a subject has changed. */
  onBelieved?: (subject: string, family: FamilyName, state: AnyState) => void
}

export interface Ledger {
  /** What is believed about a subject, waiting entries included. Reactive subject by subject. */
  stateOf: (subject: string) => AnyState | undefined
  load: (subject: string, fold: ServedFold) => void
  /** False of one of which only the server can tell how it began. */
  isBegun: (subject: string) => boolean
  /** Something made here. */
  add: (entries: readonly Entry[]) => void
  /** Something the server kept, ours or not. True when only the server can tell what it adds up to, or the
   * fold lies too far back. */
  heard: (entry: KeptEntry) => boolean
  /** The server would not keep it. */
  drop: (entry: Pick<Entry, 'subject' | 'uid'>) => void
  recent: (subject: string) => readonly Entry[]
  /** What the server kept of a subject as far as the feed was read, to lie on this device; null of one that is
   * not known. */
  keptFold: (subject: string, head: Bookmark) => (ServedFold & { subject: string; stale?: true }) | null
  /** Forgets what the server told and kept; what waits here stays. */
  startOver: () => void
}

function blank(since: Page['since'] = []): Page {
  return { base: null, upTo: {}, since, complete: true }
}

/** False when it stands there already. */
function addTo({ since }: Page, entry: Entry): boolean {
  if (since.some(({ uid }) => uid === entry.uid)) return false
  since.push(entry)
  return true
}

/** A page on a newer fold: what the fold already holds goes; what waits or came later stays. */
function pageOn({ state, upTo }: ServedFold, since: Page['since']): Page {
  const later = since.filter((entry) => !isKept(entry) || !isPast(upTo, entry))
  return { base: state, upTo, since: later, complete: true }
}

interface ToKeep {
  subject: string
  family: FamilyName
  head: Bookmark
  carriedOn: CarriedOn
  emptyOf: (family: FamilyName) => AnyState
}

/** What of a page can lie on this device: a receipt may come before what others wrote earlier, so that only what
 * the feed has told counts. */
function foldToKeep(
  page: Page,
  { subject, family, head, carriedOn, emptyOf }: ToKeep,
): ReturnType<Ledger['keptFold']> {
  const base = page.base ?? emptyOf(family)
  const fromFeed = page.since.filter((entry) => isKept(entry) && isPast(head, entry))
  if (!page.base && fromFeed.length === 0) return null
  const { state, complete } = carriedOn(base, fromFeed)
  if (!complete) return { subject, family, state: base, upTo: page.upTo, stale: true }
  return { subject, family, state, upTo: furthest(page.upTo, head) }
}

type CarriedOn = (base: AnyState, since: readonly (Entry | Echo)[]) => Continued<AnyState>

/** What a fold and the entries after it say here. What cannot be folded here, the server can: a newer version wrote
 * it. */
function carryingOn(carryOn: typeof continueFrom): CarriedOn {
  return (base, since) => {
    if (since.length === 0) return { state: base, complete: true }
    try {
      return carryOn(base, since)
    } catch (error) {
      console.error(error)
      return { state: base, complete: false }
    }
  }
}

type PagesOptions = Pick<LedgerOptions, 'emptyOf' | 'familyOf' | 'onBelieved'> & { carriedOn: CarriedOn }

/** What is known of each subject, and what that adds up to. */
function createPages({ carriedOn, emptyOf, familyOf, onBelieved }: PagesOptions) {
  const pages = new Map<string, Page>()
  const families = new Map<string, FamilyName>()
  const believed = shallowReactive(new Map<string, AnyState>())

  /** False when only the server can tell. */
  const refold = (subject: string, page: Page): boolean => {
    const family = families.get(subject)
    if (!family) return false
    const { state, complete } = carriedOn(page.base ?? emptyOf(family), page.since)
    page.complete = complete
    believed.set(subject, state)
    onBelieved?.(subject, family, state)
    return complete
  }

  const pageOf = ({ subject }: Pick<Entry, 'subject'>, entry?: Entry): Page => {
    const page = pages.get(subject) ?? blank()
    pages.set(subject, page)
    const family = entry && !families.has(subject) ? familyOf(entry) : null
    if (family) families.set(subject, family)
    return page
  }

  return { pages, families, refold, pageOf, stateOf: (subject: string) => believed.get(subject) }
}

/** Every subject's state in the browser: the server's folds, carried on by the same `reduce`. */
export function createLedger(options: LedgerOptions): Ledger {
  const { carryOn, echoesIn, onEchoed, begins, ...believing } = options
  const carriedOn = carryingOn(carryOn)
  const { pages, families, stateOf, refold, pageOf } = createPages({ ...believing, carriedOn })
  const spreading = createSpreading({ echoesIn, ...(onEchoed && { onEchoed }), pages, refold })

  function isBegun(subject: string): boolean {
    const page = pages.get(subject)
    return page !== undefined && (page.base !== null || page.since.some((one) => isOwn(one) && begins(one)))
  }

  return {
    stateOf,
    load(subject, fold) {
      const before = pages.get(subject)
      // Answers overtake each other: what was known does not become unknown again.
      if (before?.base && !isBehind(before.upTo, fold.upTo)) return
      const since = before?.since ?? []
      const heard = before?.base ? [] : spreading.about(subject)
      const page = pageOn(fold, [...since, ...heard.filter((echo) => !since.includes(echo))])
      families.set(subject, fold.family)
      pages.set(subject, page)
      spreading.forget(subject, page)
      refold(subject, page)
    },
    isBegun,
    add(entries) {
      const fresh = entries.filter((entry) => addTo(pageOf(entry, entry), entry))
      for (const subject of new Set(fresh.map((entry) => entry.subject))) {
        refold(subject, pageOf({ subject }))
        spreading.from(subject, pageOf({ subject }))
      }
    },
    heard(entry) {
      const page = pageOf(entry, entry)
      if (isPast(page.upTo, entry)) {
        page.since = page.since.filter(({ uid }) => uid !== entry.uid)
        spreading.of(entry)
        return !refold(entry.subject, page)
      }
      const at = page.since.findIndex(({ uid }) => uid === entry.uid)
      if (at === -1) page.since.push(entry)
      // Our own, now kept: it says what it said, so nothing has to be drawn again.
      else page.since[at] = entry
      const complete = at === -1 ? refold(entry.subject, page) : page.complete
      spreading.from(entry.subject, page)
      return !complete || isLong(page) || !isBegun(entry.subject)
    },
    drop({ subject, uid }) {
      const page = pageOf({ subject })
      page.since = page.since.filter((entry) => entry.uid !== uid)
      refold(subject, page)
      spreading.from(subject, page)
    },
    recent: (subject) => pages.get(subject)?.since.filter(isOwn) ?? [],
    keptFold(subject, head) {
      const page = pages.get(subject)
      const family = families.get(subject)
      return page && family
        ? foldToKeep(page, { subject, family, head, carriedOn, emptyOf: believing.emptyOf })
        : null
    },
    startOver() {
      spreading.clear()
      for (const [subject, { since }] of pages) {
        const page = blank(since.filter((entry) => isOwn(entry) && !isKept(entry)))
        pages.set(subject, page)
        refold(subject, page)
      }
      for (const [subject, page] of pages) spreading.from(subject, page)
    },
  }
}
