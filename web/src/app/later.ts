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

/** A part that comes after the board. Where the line was cut before it came it is asked for again, until it is
 * there: no part of the interface stays dead. */
export function later(load: () => Promise<{ default: Component }>): Component {
  return defineAsyncComponent({
    loader: () => withParts(load),
    onError: (_error, retry, _fail, tries) => setTimeout(retry, Math.min(LONGEST_WAIT_MS, 250 * 2 ** tries)),
  })
}
