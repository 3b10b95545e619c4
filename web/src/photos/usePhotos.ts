import { addressOf, PHOTO_BYTES, PHOTO_ROUTES } from '@kobrin/contract'
import { defineStore } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { createWaitingStore } from '../entries/waitingStore.ts'
import { sendFile } from '../api/call.ts'
import { picturesHere } from './picturesHere.ts'
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
  const store = createWaitingStore()
  const { here, show, recall } = picturesHere(store)
  void recall()

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
