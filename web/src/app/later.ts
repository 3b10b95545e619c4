import type { App, Component } from 'vue'
import { defineAsyncComponent } from 'vue'

let host: App | null = null

/** Where parts of the interface that come later will stand. */
export function growOn(app: App): void {
  host = app
}

/** Loads a page or a part, and with the first of them what all of them are made of. The board is drawn without
 * it, and is there sooner. */
export async function withParts<T>(load: () => Promise<T>): Promise<T> {
  const [part, { useParts }] = await Promise.all([load(), import('./parts.ts')])
  if (host) useParts(host)
  return part
}

const LONGEST_WAIT_MS = 30_000

/** Something that is fetched when it is needed. Where the line was cut before it came it is asked for again, until
 * it is there: no part of the interface stays dead. */
export function fetched(load: () => Promise<{ default: Component }>): Component {
  return defineAsyncComponent({
    loader: load,
    onError: (_error, retry, _fail, tries) => setTimeout(retry, Math.min(LONGEST_WAIT_MS, 250 * 2 ** tries)),
  })
}

/** A part that comes after the board, and is made of what comes with the first of them. */
export function later(load: () => Promise<{ default: Component }>): Component {
  return fetched(() => withParts(load))
}
