import type { Waiting, WaitingStore } from './waitingStore.ts'

interface TrayOptions {
  store: WaitingStore
  /** Whether what lies in the store is sent from here: another tab may be at it. */
  mayEmpty: () => boolean
  /** Entries that this device cannot store: they are only in this page, and sent from here. */
  onUnstored: (count: number) => void
}

/** Entries that wait: on this device, or in this page where the device cannot store them. */
export function createTray({ store, mayEmpty, onUnstored }: TrayOptions) {
  let unstored: Waiting[] = []

  function keepUnstored(waiting: Waiting[]): void {
    unstored = waiting
    onUnstored(unstored.length)
  }

  return {
    async put(waiting: readonly Waiting[]): Promise<void> {
      try {
        await store.put(waiting)
      } catch {
        keepUnstored([...unstored, ...waiting])
      }
    },
    /** What waits, in the order it was made. */
    async all(): Promise<Waiting[]> {
      const stored = mayEmpty() ? await store.all().catch(() => []) : []
      const known = new Set(stored.map(({ entry }) => entry.uid))
      return [...stored, ...unstored.filter(({ entry }) => !known.has(entry.uid))].filter(
        ({ refusal }) => refusal === undefined,
      )
    },
    async remove(uid: string): Promise<void> {
      keepUnstored(unstored.filter(({ entry }) => entry.uid !== uid))
      await store.remove(uid).catch(() => undefined)
    },
    /** Sets one aside, with the reason. */
    async refuse(uid: string, refusal: string): Promise<void> {
      keepUnstored(unstored.map((one) => (one.entry.uid === uid ? { ...one, refusal } : one)))
      await store.refuse(uid, refusal).catch(() => undefined)
    },
  }
}
