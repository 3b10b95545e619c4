import { createHash } from 'node:crypto'
import { mkdir, open, readFile, rename, stat } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { Transformer } from '@napi-rs/image'
import { KobrinProblem } from '../errors/problem.ts'

/** The longer side of a picture as it is kept, and of the small one beside it, pixels. */
const KEPT_PX = 1800
const SMALL_PX = 320
const QUALITY = 80
/** A file of a few bytes may say that it is as large as a field: nothing larger is unpacked. */
const PIXELS_MOST = 120e6

export const SIZES = ['kept', 'small'] as const
export type PhotoSize = (typeof SIZES)[number]

export interface MadePhoto {
  hash: string
  width: number
  height: number
}

/** Where a picture lies, by what is in it. */
export function fileOf(folder: string, hash: string, size: PhotoSize): string {
  return join(folder, hash.slice(0, 2), `${hash}.${size}.webp`)
}

export function hashOf(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex')
}

export async function isThere(file: string): Promise<boolean> {
  return stat(file).then(
    () => true,
    () => false,
  )
}

/** Writes a file whole or not at all, and on the disk before it has its name. */
export async function writeWhole(file: string, bytes: Buffer): Promise<void> {
  if (await isThere(file)) return
  await mkdir(dirname(file), { recursive: true, mode: 0o700 })
  const part = `${file}.${process.pid}.part`
  const handle = await open(part, 'w', 0o600)
  try {
    await handle.writeFile(bytes)
    await handle.sync()
  } finally {
    await handle.close()
  }
  await rename(part, file)
}

/** Upright, and with no side longer than that. `width` and `height` are those of the upright picture. */
async function shrunk(bytes: Buffer, width: number, height: number, most: number): Promise<Buffer> {
  const picture = new Transformer(bytes).rotate()
  const longer = Math.max(width, height)
  if (longer > most) {
    const by = most / longer
    picture.resize({
      width: Math.max(1, Math.round(width * by)),
      height: Math.max(1, Math.round(height * by)),
    })
  }
  return picture.webp(QUALITY)
}

/** From this orientation on a camera lay on its side: upright, width and height change places. */
const ON_ITS_SIDE = 5

/** Encodes a picture again, smaller and without anything but the picture, and keeps it with a small one. Throws
 * `no_photo` where it is none that can be read. */
export async function keepPhoto(folder: string, bytes: Buffer): Promise<MadePhoto> {
  let kept: Buffer
  let small: Buffer
  let size: { width: number; height: number }
  try {
    const { width, height, orientation = 1 } = await new Transformer(bytes).metadata(true)
    if (width * height > PIXELS_MOST) throw new Error('It has too many pixels.')
    const isTurned = orientation >= ON_ITS_SIDE
    const [w, h] = isTurned ? [height, width] : [width, height]
    kept = await shrunk(bytes, w, h, KEPT_PX)
    const made = await new Transformer(kept).metadata()
    size = { width: made.width, height: made.height }
    // Of the one that is kept: what a camera made need not be unpacked twice.
    small = await shrunk(kept, made.width, made.height, SMALL_PX)
  } catch {
    throw new KobrinProblem('no_photo')
  }
  const hash = hashOf(kept)
  await writeWhole(fileOf(folder, hash, 'small'), small)
  await writeWhole(fileOf(folder, hash, 'kept'), kept)
  return { hash, ...size }
}

export function readPhoto(folder: string, hash: string, size: PhotoSize): Promise<Buffer> {
  return readFile(fileOf(folder, hash, size)).catch(() => {
    throw new KobrinProblem('not_found')
  })
}
