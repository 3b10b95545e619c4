import { PHOTO_BYTES, PHOTO_ROUTES } from '@kobrin/contract'
import { v7 as uuidv7 } from 'uuid'
import { sendFile } from '../wire/call.ts'
import { t } from './words.ts'

const MB = 1024 * 1024

/** Sends a picture. Answers the name under which it is kept. Throws what keeps it from being kept, in words. */
export async function sendPhoto(file: Blob): Promise<string> {
  if (file.size > PHOTO_BYTES) throw new Error(t('tooLarge', { most: PHOTO_BYTES / MB }))
  const id = uuidv7()
  await sendFile(PHOTO_ROUTES.putPhoto, { id }, file)
  return id
}
