import 'fake-indexeddb/auto'
import { PHOTO_BYTES } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { beforeEach, describe, expect, it } from 'vitest'
import { createWaitingStore } from '../entries/waitingStore.ts'
import type { WaitingStore } from '../entries/waitingStore.ts'
import { picturesHere } from './picturesHere.ts'
import { createSending } from './sending.ts'
import { wrongWith } from './usePhotos.ts'

let names = 0
let store: WaitingStore

beforeEach(() => {
  names += 1
  store = createWaitingStore(`photos ${names}`)
})

const HOUR_MS = 3_600_000
const bytes = new Uint8Array([1, 2, 3]).buffer

function speaksOf(photo: string): Entry {
  return { uid: `entry of ${photo}`, kind: 'photographed', payload: { photo } } as Entry
}

/** What sends, and what it was asked to send. */
function sending({ fails = 0, now = 0 } = {}) {
  const sent: string[] = []
  let left = fails
  const photos = createSending(store, {
    now: () => now,
    async send(id) {
      if (left > 0) {
        left -= 1
        throw new Error('No link.')
      }
      sent.push(id)
    },
  })
  return { photos, sent }
}

describe('a picture that waits', () => {
  it('is there with its bytes after the page was closed', async () => {
    await store.putPhoto('a', { bytes, type: 'image/jpeg', at: 5 })
    const again = createWaitingStore(`photos ${names}`)
    const photo = await again.photo('a')
    expect([...new Uint8Array(photo?.bytes ?? new ArrayBuffer(0))]).toEqual([1, 2, 3])
    expect(photo).toMatchObject({ type: 'image/jpeg', at: 5 })
  })

  it('is sent before the entry that speaks of it, once, and stays until that is kept', async () => {
    await store.putPhoto('a', { bytes, type: 'image/jpeg', at: 0 })
    const { photos, sent } = sending()
    await photos.send([{ kind: 'noted', payload: { text: 'x' } }, speaksOf('a')])
    await photos.send([speaksOf('a')])
    expect([sent, await store.photoIds()]).toEqual([['a'], ['a']])
    await photos.forget(speaksOf('a'))
    expect(await store.photoIds()).toEqual([])
  })

  it('that cannot be sent holds its entry back, and is sent the next time', async () => {
    await store.putPhoto('a', { bytes, type: 'image/jpeg', at: 0 })
    const { photos, sent } = sending({ fails: 1 })
    await expect(photos.send([speaksOf('a')])).rejects.toThrow('No link')
    await photos.send([speaksOf('a')])
    expect(sent).toEqual(['a'])
  })

  it('that lies on another device holds nothing back', async () => {
    const { photos, sent } = sending()
    await photos.send([speaksOf('elsewhere')])
    expect(sent).toEqual([])
  })

  it('that nothing speaks of is cleared up after a day, and no other', async () => {
    for (const [id, at] of [
      ['old', 0],
      ['spoken of', 0],
      ['new', 24 * HOUR_MS],
    ] as const)
      await store.putPhoto(id, { bytes, type: '', at })
    await sending({ now: 25 * HOUR_MS }).photos.clearUp([{ entry: speaksOf('spoken of') }])
    expect(await store.photoIds()).toEqual(['new', 'spoken of'])
  })
})

describe('a file that was chosen', () => {
  const file = (type: string, size = 3) => ({ type, size }) as Blob
  const opens = async () => 'a bitmap'
  const fails = async () => {
    throw new Error('It could not be decoded.')
  }

  it.each([
    [file('image/jpeg'), opens, /^$/],
    [file('image/jpeg'), fails, /no photo/],
    [file('image/heic'), fails, /^$/],
    [file('application/pdf'), opens, /no photo/],
    [file('image/png', 0), opens, /no photo/],
    [file('image/jpeg', PHOTO_BYTES + 1), opens, /larger than 40 MB/],
  ])('%o is told what is wrong with it', async (one, read, says) => {
    expect(await wrongWith(one, read)).toMatch(says)
  })
})

describe('what waits here to be sent', () => {
  /** Opens the same store once more, as another part of the page or another tab does. */
  const openAgain = () => createWaitingStore(`photos ${names}`)
  const addresses = { make: () => 'blob:here', free: () => undefined }
  const photo = { bytes, type: 'image/jpeg', at: 0 }

  it('is no longer here once it left, however long after its entry was kept it is removed', async () => {
    await store.putPhoto('a', photo)
    const shown = picturesHere(openAgain(), addresses)
    await shown.recall()
    expect([...shown.here.keys()]).toEqual(['a'])
    // Its entry was kept and counts as sent; the removal itself is held back.
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(shown.here.has('a')).toBe(true)
    await sending().photos.forget(speaksOf('a'))
    await expect.poll(() => shown.here.has('a')).toBe(false)
    shown.stop()
  })

  it('is shown where another tab took it', async () => {
    const shown = picturesHere(openAgain(), addresses)
    await store.putPhoto('b', photo)
    await expect.poll(() => shown.here.get('b')).toBe('blob:here')
    shown.stop()
  })

  it('does not come back when it left while it was being read', async () => {
    let answer: (read: typeof photo) => void = () => undefined
    let report: Parameters<WaitingStore['onPhoto']>[0] = () => undefined
    const shown = picturesHere(
      {
        photoIds: async () => ['c'],
        photo: () => new Promise((resolve) => (answer = resolve)),
        onPhoto: (hear) => {
          report = hear
          return () => undefined
        },
      },
      addresses,
    )
    const recalling = shown.recall()
    await new Promise((resolve) => setTimeout(resolve, 0))
    report({ type: 'left', id: 'c' })
    answer(photo)
    await recalling
    expect(shown.here.has('c')).toBe(false)
  })
})
