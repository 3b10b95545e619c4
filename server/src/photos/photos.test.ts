import { mkdir, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createWriteStream } from 'node:fs'
import { Transformer } from '@napi-rs/image'
import { OFFICE_ROUTES, PHOTO_BYTES } from '@kobrin/contract'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { backup } from '../backup/backup.ts'
import { restore } from '../backup/restore.ts'
import { moveIn } from '../takeOut/moveIn.ts'
import { takeOut } from '../takeOut/takeOut.ts'
import { signedIn } from '../testing/client.ts'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import { scratch } from '../testing/scratch.ts'
import { fileOf } from './store.ts'

const NOW = new Date()

let open: OpenApp
let folder: string
let photos: string

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kobrin-photos-'))
  photos = join(folder, 'photos')
  open = await openApp('keeper', { photos })
})
afterAll(async () => {
  await open.close()
  await rm(folder, { recursive: true, force: true })
})

/** A picture as a camera makes it: wider than high, of two colours, so that it can be told which way is up. */
async function picture(width: number, height: number): Promise<Buffer> {
  const pixels = Buffer.alloc(width * height * 4, 255)
  for (let at = 0; at < width * height; at += 1) if (at % width < width / 2) pixels[at * 4 + 1] = 0
  return Transformer.fromRgbaPixels(pixels, width, height).jpeg(90)
}

/** The same with what a telephone says of it: that it lies on its side, and where it was taken. */
function withExif(jpeg: Buffer, orientation: number): Buffer {
  const tiff = Buffer.alloc(26)
  tiff.write('II*\0', 'latin1')
  tiff.writeUInt32LE(8, 4)
  tiff.writeUInt16LE(1, 8)
  tiff.writeUInt16LE(0x0112, 10)
  tiff.writeUInt16LE(3, 12)
  tiff.writeUInt32LE(1, 14)
  tiff.writeUInt16LE(orientation, 18)
  const said = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff, Buffer.from('AT HOME, 52.1N')])
  const head = Buffer.from([0xff, 0xe1, 0, 0])
  head.writeUInt16BE(said.length + 2, 2)
  return Buffer.concat([jpeg.subarray(0, 2), head, said, jpeg.subarray(2)])
}

const urlOf = (id: string) => OFFICE_ROUTES.photo.url.replace(':id', id)

async function put(body: Buffer, { id = uuidv7(), as = open.as, type = 'image/jpeg' } = {}) {
  const answer = await as.call({
    method: 'PUT',
    url: urlOf(id),
    headers: { 'content-type': type },
    payload: body,
  })
  return { id, answer, code: answer.statusCode === 204 ? '' : answer.json<{ code: string }>().code }
}

async function sizeOf(id: string, size: 'kept' | 'small' = 'kept') {
  const answer = await open.as.call({ url: `${urlOf(id)}?size=${size}` })
  expect([answer.statusCode, answer.headers['content-type']]).toEqual([200, 'image/webp'])
  const { width, height } = await new Transformer(answer.rawPayload).metadata()
  return [width, height]
}

describe('a picture', () => {
  it('is made smaller, with a small one beside it, and kept in the browser for good', async () => {
    const { id, code } = await put(await picture(3600, 2400))
    expect(code).toBe('')
    expect(await sizeOf(id)).toEqual([1800, 1200])
    expect(await sizeOf(id, 'small')).toEqual([320, 213])
    const answer = await open.as.call({ url: urlOf(id) })
    expect(answer.headers['cache-control']).toContain('immutable')
    expect(answer.headers['cache-control']).toContain('private')
  })

  it('that is small stays as large as it is', async () => {
    expect(await sizeOf((await put(await picture(120, 80))).id)).toEqual([120, 80])
  })

  it('stands upright, and says nothing of where it was taken', async () => {
    const taken = withExif(await picture(300, 200), 6)
    expect(taken.includes('AT HOME')).toBe(true)
    const { id } = await put(taken)
    expect(await sizeOf(id)).toEqual([200, 300])
    const kept = (await open.as.call({ url: urlOf(id) })).rawPayload
    for (const word of ['AT HOME', 'Exif', 'EXIF']) expect(kept.includes(word)).toBe(false)
  })

  it('sent again is the same; the same picture under another name lies there once', async () => {
    const body = await picture(400, 300)
    const { id } = await put(body)
    const files = async () =>
      (await readdir(photos, { recursive: true })).filter((name) => name.endsWith('.webp'))
    const before = await files()
    expect((await put(await picture(90, 90), { id })).code).toBe('')
    expect(await sizeOf(id)).toEqual([400, 300])
    await put(body)
    expect(await files()).toEqual(before)
  })

  it.each([
    ['text', Buffer.from('not a picture')],
    ['nothing', Buffer.alloc(0)],
    ['half a picture', Buffer.from('ffd8ffe000104a46494600', 'hex')],
    ['an SVG', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>')],
  ])('is not %s', async (_, body) => {
    const { id, answer, code } = await put(body)
    expect([answer.statusCode, code]).toEqual([400, 'no_photo'])
    expect((await open.as.call({ url: urlOf(id) })).statusCode).toBe(404)
  })

  it('is no larger than a camera makes it', async () => {
    const { answer } = await put(Buffer.alloc(PHOTO_BYTES + 1))
    expect([answer.statusCode, answer.json<{ code: string }>().code]).toEqual([413, 'too_large'])
  })

  it('is sent by those who write, and seen by everybody signed in', async () => {
    const reader = await signedIn(open.app, 'reader')
    const { id } = await put(await picture(60, 40))
    expect((await put(await picture(60, 40), { as: reader })).code).toBe('not_allowed')
    expect((await reader.call({ url: urlOf(id) })).statusCode).toBe(200)
    expect((await open.app.inject({ url: urlOf(id) })).statusCode).toBe(401)
  })
})

describe('pictures go along', () => {
  const hashes = async (pool: OpenApp['base']['pool']) =>
    (await pool.query<never[]>('select distinct hash from photo'))[0].map(({ hash }) => hash as string)

  it('with a backup, once for all of them, and come back with it', async () => {
    const file = join(folder, 'backups', 'one.sql.gz')
    await mkdir(join(folder, 'backups'))
    const here = { db: open.base.db, folder: photos }
    await backup(open.base.address, file, NOW, here)
    await backup(open.base.address, join(folder, 'backups', 'two.sql.gz'), NOW, here)
    const all = await hashes(open.base.pool)
    expect(await readdir(join(folder, 'backups', 'photos'), { recursive: true })).toHaveLength(
      new Set(all.map((hash) => hash.slice(0, 2))).size + 2 * all.length,
    )
    const empty = await scratch()
    const back = join(folder, 'back')
    expect(await restore(empty.address, empty, file, back)).toMatchObject({ missing: 0 })
    for (const hash of all) expect(await readdir(join(back, hash.slice(0, 2)))).toContain(`${hash}.kept.webp`)
    await empty.drop()

    // One that is gone, or is not what it was, is said.
    const [first = '', second = ''] = all
    await rm(fileOf(join(folder, 'backups', 'photos'), first, 'kept'))
    await writeFile(fileOf(join(folder, 'backups', 'photos'), second, 'kept'), 'something else')
    const again = await scratch()
    expect(await restore(again.address, again, file, join(folder, 'again'))).toMatchObject({ missing: 2 })
    await again.drop()
  })

  it('with everything that is taken out, and move in with it', async () => {
    const file = join(folder, 'all.zip')
    await takeOut(open.base.db, createWriteStream(file), NOW, photos)
    const empty = await scratch()
    const there = join(folder, 'there')
    expect(await moveIn(empty.db, file, NOW, there)).toMatchObject({ missing: 0 })
    const all = await hashes(empty.pool)
    expect(all.sort()).toEqual((await hashes(open.base.pool)).sort())
    for (const hash of all)
      expect(await readdir(join(there, hash.slice(0, 2)))).toContain(`${hash}.small.webp`)
    await empty.drop()
  })
})
