import type { KeptEntry } from '@kobrin/contract'
import type { KeptStore } from './keptStore.ts'

/** Everything that was said of everybody for so many days lies on the device. */
const DAYS = 60
/** A house that says more than this in that time is not brought onto a tablet whole. */
const MOST_ENTRIES = 250_000
/** Nobody waits for it: it comes after everything else, and a day at a time. */
const FIRST_MS = 30_000
const NEXT_MS = 400

interface LatelyOptions {
  store: Pick<KeptStore, 'keepLately' | 'forgetBefore' | 'thing' | 'keepThing'>
  /** What was said on a day, asked of the server. */
  ask: (day: number) => Promise<readonly KeptEntry[]>
  today: () => number
  /** One tab of a browser writes for all of them. */
  mayKeep: () => boolean
  /** Whether this device has room for more. */
  hasRoom: () => Promise<boolean>
  firstMs?: number
  nextMs?: number
}

export type Lately = ReturnType<typeof createLately>

/** Brings what was said of late onto this device, so that it can be read without a link. */
export function createLately(options: LatelyOptions) {
  const { store, ask, today, mayKeep, hasRoom, firstMs = FIRST_MS, nextMs = NEXT_MS } = options
  let heard: KeptEntry[] = []
  let timer: ReturnType<typeof setTimeout> | undefined
  let brought = 0

  const oldest = () => today() - DAYS + 1

  async function next(): Promise<void> {
    if (!mayKeep() || brought > MOST_ENTRIES || !(await hasRoom())) return
    const here = new Set(await store.thing('days'))
    const missing = Array.from({ length: DAYS }, (_, ago) => today() - ago).find((day) => !here.has(day))
    if (missing === undefined) return store.forgetBefore(oldest()).then(() => undefined)
    const entries = await ask(missing)
    await store.keepLately(entries)
    brought += entries.length
    await store.keepThing(
      'days',
      [...here, missing].filter((day) => day >= oldest()),
    )
    later(nextMs)
  }

  function later(ms: number): void {
    clearTimeout(timer)
    // Cut off: what is missing is asked for when the page is opened, or the link is back.
    timer = setTimeout(() => void next().catch(() => undefined), ms)
  }

  return {
    hear(entry: KeptEntry): void {
      // In other tabs it is written down by the one that keeps.
      if (mayKeep()) heard.push(entry)
    },
    /** Writes down what was heard. */
    async flush(): Promise<void> {
      const since = oldest()
      const entries = heard.filter(({ day }) => day >= since)
      heard = []
      if (entries.length > 0) await store.keepLately(entries)
    },
    begin: () => later(firstMs),
    stop: () => clearTimeout(timer),
  }
}
