import { computed, shallowRef } from 'vue'
import * as z from 'zod/mini'
import { readStored } from '../kept/useStored.ts'

/** Something done here that can be taken back: what it says, and the entries it is made of. */
const Act = z.object({
  says: z.string(),
  entries: z.array(z.object({ uid: z.string(), subject: z.string(), act: z.optional(z.string()) })),
})
export type Act = z.infer<typeof Act>

/** Nobody remembers further back what they did with which touch. */
const MOST = 20

const Kept = z.object({ day: z.number(), acts: z.array(Act) })
type Kept = z.infer<typeof Kept>

function keyOf(author: string): string {
  return `kobrin.acts.${author}`
}

function read(author: string): Kept | null {
  return readStored(Kept, globalThis.localStorage.getItem(keyOf(author)))
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
