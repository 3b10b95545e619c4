import { addressOf, PHOTO_BYTES, PHOTO_ROUTES } from '@kobrin/contract'
import { defineStore } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { shallowReactive, watch } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { createWaitingStore } from '../entries/waitingStore.ts'
import { sendFile } from '../wire/call.ts'
import { t } from './words.ts'

const MB = 1024 * 1024
/** What this browser can open itself: where it cannot, it is none. Others are for the server to read. */
const READ_HERE = /^image\/(jpeg|png|webp|gif|bmp)$/

export type PhotoSize = 'kept' | 'small'

/** Why a file cannot be kept as a picture, in words; empty where nothing speaks against it. */
export async function wrongWith(
  file: Blob,
  read: (file: Blob) => Promise<unknown> = (one) => createImageBitmap(one),
): Promise<string> {
  if (file.size > PHOTO_BYTES) return t('tooLarge', { most: PHOTO_BYTES / MB })
  if (file.size === 0 || (file.type !== '' && !file.type.startsWith('image/'))) return t('noPhoto')
  if (!READ_HERE.test(file.type)) return ''
  return read(file).then(
    () => '',
    () => t('noPhoto'),
  )
}

/** Pictures as this device knows them: those that wait here to be sent, and those of the house. */
export const usePhotos = defineStore('photos', () => {
  const record = useRecord()
  const store = createWaitingStore()
  /** Where those that wait are shown from. */
  const here = shallowReactive(new Map<string, string>())

  function show(id: string, file: Blob): void {
    if (!here.has(id)) here.set(id, URL.createObjectURL(file))
  }

  async function look(): Promise<void> {
    const ids = new Set(await store.photoIds().catch(() => [...here.keys()]))
    for (const [id, url] of here)
      if (!ids.has(id)) {
        here.delete(id)
        // Whoever shows it has to take the one of the house first.
        setTimeout(() => URL.revokeObjectURL(url), 10_000)
      }
    for (const id of ids) {
      if (here.has(id)) continue
      const photo = await store.photo(id).catch(() => undefined)
      if (photo) show(id, new Blob([photo.bytes], { type: photo.type }))
    }
  }

  watch(
    () => record.waitingCount,
    () => void look(),
    { immediate: true },
  )

  /** Keeps a picture on this device, from where it goes the way of the entry that speaks of it. Where the device has
   * no room it is sent at once. Answers its name. Throws what keeps it from being kept, in words. */
  async function keep(file: Blob): Promise<string> {
    const wrong = await wrongWith(file)
    if (wrong) throw new Error(wrong)
    const id = uuidv7()
    try {
      const bytes = await file.arrayBuffer()
      await store.putPhoto(id, { bytes, type: file.type, at: Date.now() })
      show(id, file)
    } catch {
      await sendFile(PHOTO_ROUTES.putPhoto, { id }, file)
    }
    return id
  }

  return {
    keep,
    /** Whether it lies on this device only. */
    waits: (id: string) => here.has(id),
    urlOf: (id: string, size: PhotoSize) =>
      here.get(id) ?? addressOf(PHOTO_ROUTES.photo.url, { id }, { size }),
  }
})
