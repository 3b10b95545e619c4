import type { Entry } from '@kobrin/core'
import { computed, shallowReactive, shallowRef } from 'vue'
import type { Waiting } from './waitingStore.ts'

export interface Refused {
  entry: Entry
  why: string
}

/** What was made on this device and the server has not kept: what waits, what it refused, and what this
 * device could not even store. */
export function createUndelivered() {
  /** Reactive entry by entry: a box wakes only for its own. */
  const waiting = shallowReactive(new Set<string>())
  const refused = shallowRef<readonly Refused[]>([])
  /** Entries that this device cannot store, and that are lost if the page is closed before they are sent. */
  const unstored = shallowRef(0)
  const waitingCount = computed(() => waiting.size)

  function refuse(entry: Entry, why: string): void {
    if (!refused.value.some((one) => one.entry.uid === entry.uid))
      refused.value = [...refused.value, { entry, why }]
  }

  /** Takes a refused one from the list. */
  function takeRefused(uid: string): Refused | undefined {
    const one = refused.value.find(({ entry }) => entry.uid === uid)
    refused.value = refused.value.filter((other) => other !== one)
    return one
  }

  /** What lay in the store when the page opened. Answers what of it still waits. */
  function recall(left: readonly Waiting[]): Entry[] {
    refused.value = left.flatMap(({ entry, refusal }) =>
      refusal === undefined ? [] : [{ entry, why: refusal }],
    )
    return left.filter(({ refusal }) => refusal === undefined).map(({ entry }) => entry)
  }

  const shown = { waiting, refused, unstored, waitingCount }
  return { ...shown, shown, refuse, takeRefused, recall }
}
