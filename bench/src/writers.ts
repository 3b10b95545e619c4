import { setTimeout as sleep } from 'node:timers/promises'
import type { BatchAnswer } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { PostedEntry } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import type { Asking } from './asking.ts'
import { isServerFault } from './asking.ts'
import { watering } from './waterings.ts'

const DAY_MS = 86_400_000
/** An answer of 500 that is still the answer after this long does not pass. */
const PASSES_MS = 10_000
const AGAIN_MS = 50

export interface Kept {
  /** What was acknowledged, by uid, as it was posted. */
  acknowledged: Map<string, PostedEntry>
  /** Posts that were refused, though nothing was wrong with them. */
  refused: number
  /** Posts that were answered 500 for as long as anybody asked. */
  stuck: number
}

/** One who writes without a pause: in order, late, in batches, correcting and taking back what it said. */
class Writer {
  readonly #author: string
  readonly #residents: readonly string[]
  readonly #mayBeAmended: PostedEntry[] = []
  #said: number
  #posts = 0

  constructor(author: string, residents: readonly string[], first: number) {
    this.#author = author
    this.#residents = residents
    this.#said = first
  }

  #watered(atMs = Date.now()): PostedEntry {
    this.#said += 1
    const subject = this.#residents[this.#said % this.#residents.length] ?? ''
    return watering({ subject, author: this.#author, atMs, litres: (1 + (this.#said % 9)) / 10 })
  }

  #amendment(): PostedEntry | null {
    const about = this.#mayBeAmended.shift()
    if (!about) return null
    const { uid: target, subject, author } = about
    const stamp = { uid: uuidv7(), subject, author, occurredAt: new Date().toISOString() }
    const why = 'Another box'
    if (this.#posts % 2 === 0) return { ...stamp, kind: 'retracted', payload: { target, why } }
    const to = { kind: 'watered', payload: { duty: 'water', litres: 1.5 } } as const
    return { ...stamp, kind: 'corrected', payload: { target, to, why } }
  }

  /** What is posted together next. */
  next(): PostedEntry[] {
    this.#posts += 1
    switch (this.#posts % 5) {
      case 0:
        return [this.#watered(Date.now() - (1 + (this.#said % 300)) * DAY_MS)]
      case 1:
        return Array.from({ length: 10 }, () => this.#watered())
      case 2:
        return [this.#amendment() ?? this.#watered()]
      default:
        return [this.#watered()]
    }
  }

  acknowledged(entry: PostedEntry): void {
    if (entry.kind === 'watered') this.#mayBeAmended.push(entry)
  }
}

/** Posts as a tablet does: the same entries again until somebody says that they are kept. Null when the
 * answer was 500 for too long. */
async function posted(asking: Asking, entries: readonly PostedEntry[]): Promise<BatchAnswer | null> {
  let faultyMs: number | null = null
  for (;;) {
    try {
      return await asking.ask<BatchAnswer>(ROUTES.append.url, { entries })
    } catch (error) {
      if (isServerFault(error)) faultyMs ??= performance.now()
      else faultyMs = null
      if (faultyMs !== null && performance.now() - faultyMs > PASSES_MS) return null
      await sleep(AGAIN_MS)
    }
  }
}

export interface Writing {
  kept: Kept
  /** Lets everybody finish what they were saying. */
  stop: () => Promise<void>
}

/** So many writers at once about the same few residents, so that they get in each other's way. */
export function writing(asking: Asking, residents: readonly string[], writers: number): Writing {
  const kept: Kept = { acknowledged: new Map(), refused: 0, stuck: 0 }
  let stopping = false

  async function write(first: number): Promise<void> {
    const writer = new Writer(asking.me.person.id, residents, first)
    while (!stopping) {
      const entries = writer.next()
      const answer = await posted(asking, entries)
      if (!answer) kept.stuck += 1
      answer?.receipts.forEach(({ status }, index) => {
        const entry = entries[index]
        if (status !== 'accepted' || !entry) kept.refused += 1
        else {
          kept.acknowledged.set(entry.uid, entry)
          writer.acknowledged(entry)
        }
      })
    }
  }

  const all = Array.from({ length: writers }, (_, index) => write(index))
  return {
    kept,
    stop: async () => {
      stopping = true
      await Promise.all(all)
    },
  }
}
