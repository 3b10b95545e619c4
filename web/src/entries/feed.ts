import type { Bookmark, KeptEntry, Problem } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import { addressOf, advanced, isPast, ROUTES, sayBookmark } from '@kobrin/contract'

export interface FeedOptions {
  /** Where to go on: asked each time the line is opened. */
  after: () => Bookmark
  onEntry: (entry: KeptEntry) => void
  onLink: (linked: boolean) => void
  /** An entry that was just told changes what these heard of its subject. */
  onAnew: (subjects: string[]) => void
  /** The building, a sheet or a plan was changed. */
  onChange: () => void
  /** The record was put back to an earlier state. */
  onStartOver: () => void
  /** Why the server can keep nothing just now; null when it can. */
  onStandstill: (why: Problem | null) => void
  /** The server would not have us: nobody is signed in here any more, or it cannot be reached. */
  onClosed: () => void
  open?: (url: string) => EventSource
  retryMs?: number
  /** The server says every quarter of a minute that it is there: after so long it is not. */
  silenceMs?: number
  /** Where the browser tells that its network went, and came back. */
  network?: EventTarget
}

type Place = Pick<KeptEntry, 'stream' | 'seq'>

function readPlace(data: unknown): Place {
  return JSON.parse(String(data)) as Place
}

function readProblem(data: unknown): Problem | null {
  return JSON.parse(String(data)) as Problem | null
}

function readSubjects(data: unknown): string[] {
  return JSON.parse(String(data)) as string[]
}

/** Says when nothing was heard for too long. */
function watchSilence(silenceMs: number, onSilence: () => void) {
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = () => clearTimeout(timer)
  function heard(): void {
    stop()
    timer = setTimeout(onSilence, silenceMs)
  }
  return { heard, stop }
}

/** Follows everyone's entries from a place in the feed, through every break in the line.
 * Returns how to stop. */
export function followFeed({
  after,
  onEntry,
  onLink,
  open = (url) => new EventSource(url),
  retryMs = 2000,
  silenceMs = 40_000,
  network = globalThis,
  ...on
}: FeedOptions): () => void {
  let read: Bookmark = {}
  let source: EventSource | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  const watch = watchSilence(silenceMs, again)

  /** The line may hang without anybody having said so. */
  function again(): void {
    clearTimeout(timer)
    source?.close()
    onLink(false)
    start()
  }

  function cut(): void {
    watch.stop()
    onLink(false)
  }

  function isNews(place: Place): boolean {
    if (isPast(read, place)) return false
    read = advanced(read, place)
    return true
  }

  function start(): void {
    read = after()
    source = open(addressOf(ROUTES.feed.url, {}, { after: sayBookmark(read), revision: FOLD_REVISION }))
    watch.heard()
    source.onopen = () => {
      watch.heard()
      onLink(true)
    }
    source.addEventListener('beat', watch.heard)
    source.onmessage = (event: MessageEvent<string>) => {
      watch.heard()
      const entry = JSON.parse(event.data) as KeptEntry
      if (isNews(entry)) onEntry(entry)
    }
    source.addEventListener('change', ({ data }) => isNews(readPlace(data)) && on.onChange())
    source.addEventListener('anew', ({ data }) => on.onAnew(readSubjects(data)))
    source.addEventListener('startOver', () => {
      read = {}
      on.onStartOver()
    })
    source.addEventListener('standstill', ({ data }) => on.onStandstill(readProblem(data)))
    source.onerror = () => {
      onLink(false)
      // The browser tries again by itself unless the server answered with an error.
      if (source?.readyState !== 2) return
      source.close()
      on.onClosed()
      timer = setTimeout(start, retryMs)
    }
  }

  start()
  network.addEventListener('offline', cut)
  network.addEventListener('online', again)
  return () => {
    network.removeEventListener('offline', cut)
    network.removeEventListener('online', again)
    watch.stop()
    clearTimeout(timer)
    source?.close()
  }
}
