import { PHOTO_ROUTES } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { Waiting, WaitingPhoto, WaitingStore } from '../entries/waitingStore.ts'
import { sendFile } from '../api/call.ts'

type PhotoStore = Pick<WaitingStore, 'photo' | 'photoIds' | 'removePhoto'>
type Sendable = Pick<Entry, 'kind' | 'payload'>

/** A picture that no entry speaks of after so long was left behind when its page was closed. */
const LEFT_BEHIND_MS = 24 * 3_600_000

function sendOne(id: string, { bytes, type }: WaitingPhoto): Promise<void> {
  return sendFile(PHOTO_ROUTES.putPhoto, { id }, new Blob([bytes], { type }))
}

function photoOf(entry: Sendable): string | null {
  return entry.kind === 'photographed' && 'photo' in entry.payload ? entry.payload.photo : null
}

/** Sends the pictures that wait on this device, each before the entry that speaks of it. */
export function createSending(
  store: PhotoStore,
  { send = sendOne, now = Date.now }: { send?: typeof sendOne; now?: () => number } = {},
) {
  const sent = new Set<string>()

  /** Throws what keeps one of them from being sent. */
  async function sendBefore(entries: readonly Sendable[]): Promise<void> {
    for (const entry of entries) {
      const id = photoOf(entry)
      if (id === null || sent.has(id)) continue
      const photo = await store.photo(id).catch(() => undefined)
      // It was sent from another tab, or before the page was loaded again.
      if (!photo) continue
      await send(id, photo)
      sent.add(id)
    }
  }

  /** The picture of an entry is needed here no more. */
  async function forget(entry: Sendable): Promise<void> {
    const id = photoOf(entry)
    if (id !== null) await store.removePhoto(id).catch(() => undefined)
  }

  /** Removes those that nothing speaks of. */
  async function clearUp(waiting: readonly Waiting[]): Promise<void> {
    const spokenOf = new Set(waiting.map(({ entry }) => photoOf(entry)))
    for (const id of await store.photoIds().catch((): string[] => [])) {
      if (spokenOf.has(id)) continue
      const photo = await store.photo(id).catch(() => undefined)
      if (photo && photo.at < now() - LEFT_BEHIND_MS) await store.removePhoto(id).catch(() => undefined)
    }
  }

  return { send: sendBefore, forget, clearUp }
}
