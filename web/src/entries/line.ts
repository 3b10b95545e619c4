import type { KeptEntry, Receipt } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { FOLD_REVISION } from '@kobrin/core'

/** What the tabs of one browser tell each other. */
export type LineMessage =
  /** Something was made in a tab, and lies in the store to be sent. */
  | { type: 'made'; entries: Entry[] }
  | { type: 'receipt'; receipt: Receipt; entry: Entry }
  | { type: 'heard'; entry: KeptEntry }
  /** What these add up to is to be asked of the server. */
  | { type: 'anew'; subjects: string[] }
  | { type: 'changed' }
  /** The record was put back to an earlier state. */
  | { type: 'startOver' }
  | { type: 'link'; linked: boolean }
  /** Why the server did not keep what was sent. */
  | { type: 'unkept'; why: string }
  /** Why the server can keep nothing from anybody; empty when it can again. */
  | { type: 'standstill'; why: string }
  | { type: 'signInNeeded' }
  /** A tab that has just opened asks how things stand. */
  | { type: 'hello' }

export interface Channel {
  postMessage: (message: LineMessage) => void
  onmessage: ((event: { data: LineMessage }) => void) | null
  close: () => void
}

export interface LineOptions {
  /** This tab holds the line to the server from now on. Answers how to let go of it. */
  onLead: () => () => void
  onMessage: (message: LineMessage) => void
  channel?: Channel
  /** Null where the browser has none. */
  locks?: Pick<LockManager, 'request'> | null
}

export interface Line {
  tell: (message: LineMessage) => void
  isLeading: () => boolean
  close: () => void
}

/** Tabs of another version speak of kinds that this one may not know. */
const NAME = `kobrin line ${FOLD_REVISION}`

/** One line to the server for all tabs of a browser: a browser keeps but a few open to one server, and each
 * tab would hold one. The tab that has the lock holds feed and outbox; the others listen to it. When it
 * goes, another takes over. */
export function openLine({
  onLead,
  onMessage,
  channel = new BroadcastChannel(NAME) as unknown as Channel,
  locks = 'locks' in globalThis.navigator ? globalThis.navigator.locks : null,
}: LineOptions): Line {
  let letGo = null as (() => void) | null
  let release: (() => void) | null = null
  const leaving = new AbortController()
  channel.onmessage = ({ data }) => onMessage(data)

  function lead(): Promise<void> {
    letGo = onLead()
    return new Promise((resolve) => (release = resolve))
  }

  // Without locks there is no telling the tabs apart: each for itself.
  if (!locks) void lead()
  else locks.request(NAME, { signal: leaving.signal }, lead).catch(() => undefined)
  channel.postMessage({ type: 'hello' })

  return {
    tell: (message) => channel.postMessage(message),
    isLeading: () => letGo !== null,
    close() {
      leaving.abort()
      letGo?.()
      letGo = null
      release?.()
      channel.close()
    },
  }
}
