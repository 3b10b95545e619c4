import type { KeptEntry } from '@kobrin/contract'
import { PATHS } from '@kobrin/contract'

export interface FeedOptions {
  after: number
  onEntry: (entry: KeptEntry) => void
  onLink: (linked: boolean) => void
  /** The building, the register or a plan was changed. */
  onSite?: () => void
  open?: (url: string) => EventSource
  retryMs?: number
}

/** Follows everyone's entries from a place in the feed, through every break in the line.
 * Returns how to stop. */
export function followFeed({
  after,
  onEntry,
  onLink,
  onSite,
  open = (url) => new EventSource(url),
  retryMs = 2000,
}: FeedOptions): () => void {
  let at = after
  let source: EventSource | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  function start(): void {
    source = open(`${PATHS.feed}?after=${at}`)
    source.onopen = () => onLink(true)
    source.onmessage = (event: MessageEvent<string>) => {
      const entry = JSON.parse(event.data) as KeptEntry
      if (entry.seq <= at) return
      at = entry.seq
      onEntry(entry)
    }
    if (onSite) source.addEventListener('site', onSite)
    source.onerror = () => {
      onLink(false)
      // The browser tries again by itself unless the server answered with an error.
      if (source?.readyState !== 2) return
      source.close()
      timer = setTimeout(start, retryMs)
    }
  }

  start()
  return () => {
    clearTimeout(timer)
    source?.close()
  }
}
