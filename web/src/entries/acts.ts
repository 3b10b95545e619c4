import type { Entry } from '@kobrin/core'
import { computed, shallowRef } from 'vue'

/** Something done here that can be taken back: what it says, and the entries it is made of. */
export interface Act {
  says: string
  entries: Pick<Entry, 'uid' | 'subject' | 'act'>[]
}

/** Nobody remembers further back what they did with which touch. */
const MOST = 20

interface Kept {
  day: number
  acts: Act[]
}

function keyOf(author: string): string {
  return `kobrin.acts.${author}`
}

function read(author: string): Kept | null {
  try {
    return JSON.parse(globalThis.localStorage.getItem(keyOf(author)) ?? 'null') as Kept | null
  } catch {
    // Not what was written here: there is nothing to take back.
    return null
  }
}

function write(author: string, kept: Kept): void {
  try {
    globalThis.localStorage.setItem(keyOf(author), JSON.stringify(kept))
  } catch {
    // No room on this device: what was done can be taken back until the page is closed.
  }
}

interface ActsOptions {
  /** Who is at work here. */
  author: () => string | undefined
  today: () => number
}

/** What one person did here today, the last of it first to be taken back; a reload forgets nothing of it. */
export function createActs({ author, today }: ActsOptions) {
  const acts = shallowRef<readonly Act[]>([])

  function become(next: readonly Act[]): void {
    acts.value = next.slice(-MOST)
    const by = author()
    if (by !== undefined) write(by, { day: today(), acts: [...acts.value] })
  }

  function done({ says, entries }: Act): void {
    const lines = entries.map(({ uid, subject, act }) => ({
      uid,
      subject,
      ...(act !== undefined && { act }),
    }))
    become([...acts.value, { says, entries: lines }])
  }

  /** The last of them, which is then no longer there to be taken back. */
  function undone(): Act | null {
    const last = acts.value.at(-1) ?? null
    if (last) become(acts.value.slice(0, -1))
    return last
  }

  /** Takes up what the person at work here did earlier today, and nobody else's. */
  function recall(): void {
    const by = author()
    const kept = by === undefined ? null : read(by)
    acts.value = kept?.day === today() ? kept.acts : []
  }

  return { last: computed(() => acts.value.at(-1) ?? null), done, undone, recall }
}
