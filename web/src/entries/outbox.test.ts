import 'fake-indexeddb/auto'
import type { BatchAnswer, Receipt } from '@kobrin/contract'
import type { Entry, PostedEntry } from '@kobrin/core'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import type { Outbox, OutboxOptions } from './outbox.ts'
import { createOutbox } from './outbox.ts'
import type { WaitingStore } from './waitingStore.ts'
import { createWaitingStore } from './waitingStore.ts'

let store: WaitingStore
let names = 0

beforeEach(() => {
  names += 1
  store = createWaitingStore(`outbox ${names}`)
})

function note(text: string, act?: string): { entry: Entry } {
  const entry = entryOn(TODAY, { kind: 'noted', payload: { text } })
  return { entry: act === undefined ? entry : { ...entry, act } }
}

const textOf = ({ payload }: PostedEntry) => ('text' in payload ? (payload.text ?? '') : '')

const accepted = (entries: readonly PostedEntry[]): BatchAnswer => ({
  receipts: entries.map(({ uid }, index) => ({ uid, status: 'accepted', stream: 1, seq: index + 1 })),
})

class Down extends Error {}
class TooLarge extends Error {}
class Stumbled extends Error {}

interface Line {
  outbox: Outbox
  sent: string[][]
  receipts: Receipt[]
  troubles: unknown[]
  unstored: number[]
  /** Waits that were asked for, in milliseconds. */
  waits: number[]
  /** The time has come. */
  wake: () => Promise<void>
}

function line(post: OutboxOptions['post']): Line {
  const sent: string[][] = []
  const receipts: Receipt[] = []
  const troubles: unknown[] = []
  const unstored: number[] = []
  const waits: number[] = []
  let task = (): void => undefined
  const outbox = createOutbox({
    store,
    post: (entries, proofs) => {
      sent.push(entries.map(textOf))
      return post(entries, proofs)
    },
    hopeFor: (error) =>
      error instanceof TooLarge ? 'never' : error instanceof Stumbled ? 'perhaps' : 'later',
    onReceipt: (receipt) => receipts.push(receipt),
    onTrouble: (error) => troubles.push(error),
    onUnstored: (count) => unstored.push(count),
    later: (next, ms) => {
      waits.push(ms)
      task = next
      return () => (task = () => undefined)
    },
  })
  const wake = () => {
    task()
    return outbox.send()
  }
  return { outbox, sent, receipts, troubles, unstored, waits, wake }
}

describe('the outbox', () => {
  it('sends in the order of making and empties the store', async () => {
    const { outbox, sent, receipts } = line(async (entries) => accepted(entries))
    await outbox.add([note('one'), note('two')])
    await outbox.add([note('three')])
    await outbox.send()
    expect(sent.flat()).toEqual(['one', 'two', 'three'])
    expect(receipts).toHaveLength(3)
    expect(await store.all()).toEqual([])
  })

  it('keeps everything while the server cannot be reached, waits longer each time, then sends it all in order', async () => {
    let up = false
    const { outbox, sent, waits, wake } = line(async (entries) => {
      if (!up) throw new Down()
      return accepted(entries)
    })
    await outbox.add([note('one')])
    await outbox.send()
    await outbox.add([note('two')])
    await outbox.send()
    expect(await store.all()).toHaveLength(2)
    expect(waits.length).toBeGreaterThanOrEqual(2)
    for (const [index, ms] of waits.slice(1).entries()) expect(ms).toBeGreaterThan(waits[index] ?? 0)
    up = true
    await wake()
    expect(sent.at(-1)).toEqual(['one', 'two'])
    expect(await store.all()).toEqual([])
  })

  it('outlives the page: what waited is there for the next, with its proof', async () => {
    const dead = line(async () => {
      throw new Down()
    })
    const proof = { shift: 'shift', mac: 'mac' }
    const waits = note('before the battery went')
    await dead.outbox.add([{ ...waits, proof }])
    await dead.outbox.send()
    const post = vi.fn(async (entries: readonly PostedEntry[]) => accepted(entries))
    const { outbox } = line(post)
    await outbox.send()
    expect(post).toHaveBeenCalledWith([expect.objectContaining({ uid: waits.entry.uid })], {
      [waits.entry.uid]: proof,
    })
  })

  it('sends again what was kept but not acknowledged, under the same identity', async () => {
    const uids: string[] = []
    let first = true
    const { outbox } = line(async (entries) => {
      uids.push(...entries.map(({ uid }) => uid))
      if (first) {
        first = false
        throw new Down('The answer was lost on the way.')
      }
      return accepted(entries)
    })
    const once = note('once')
    await outbox.add([once])
    await outbox.send()
    await outbox.send()
    expect(uids).toEqual([once.entry.uid, once.entry.uid])
  })

  it('puts aside what the server will not keep, with the reason, and goes on with the rest', async () => {
    const { outbox, receipts } = line(async (entries) => ({
      receipts: entries.map((entry, index): Receipt => {
        const { uid } = entry
        return textOf(entry) === 'bad'
          ? { uid, status: 'refused', code: 'not_allowed', message: 'Your role does not allow this.' }
          : { uid, status: 'accepted', stream: 1, seq: index + 1 }
      }),
    }))
    await outbox.add([note('good'), note('bad'), note('also good')])
    await outbox.send()
    expect((await store.all()).map(({ entry, refusal }) => [entry.payload, refusal])).toEqual([
      [{ text: 'bad' }, 'Your role does not allow this.'],
    ])
    await outbox.send()
    expect(receipts).toHaveLength(3)
  })

  it('loses nothing when the server answers without a receipt', async () => {
    const { outbox, troubles } = line(async () => ({ receipts: [] }))
    await store.put([note('one')])
    await outbox.send()
    expect(troubles).toHaveLength(1)
    expect(await store.all()).toHaveLength(1)
  })
})

describe('an entry that the server cannot take', () => {
  const notBad = (error: Error) => async (entries: readonly PostedEntry[]) => {
    if (entries.some((entry) => textOf(entry) === 'bad')) throw error
    return accepted(entries)
  }
  const five = () => ['one', 'two', 'bad', 'four', 'five'].map((text) => note(text))

  it('is found by halving, set aside with the reason, and everything else goes', async () => {
    const { outbox, receipts } = line(notBad(new TooLarge('That is too much to send at once.')))
    await outbox.add(five())
    await outbox.send()
    expect((await store.all()).map(({ entry, refusal }) => [entry.payload, refusal])).toEqual([
      [{ text: 'bad' }, 'That is too much to send at once.'],
    ])
    expect(receipts.filter(({ status }) => status === 'accepted')).toHaveLength(4)
  })

  it('that it stumbles over is tried a few times more, while everything else goes at once', async () => {
    const { outbox, receipts, wake } = line(notBad(new Stumbled('Something went wrong on the server.')))
    await outbox.add(five())
    await outbox.send()
    expect(receipts).toHaveLength(4)
    expect((await store.all()).map(({ refusal }) => refusal)).toEqual([undefined])
    await wake()
    await wake()
    expect((await store.all()).map(({ refusal }) => refusal)).toEqual(['Something went wrong on the server.'])
  })

  it('takes the rest of its doing with it, and no other: one doing is never torn apart', async () => {
    const { outbox, sent } = line(notBad(new TooLarge('Too much.')))
    await outbox.add([note('one'), note('moved', 'act'), note('bad', 'act'), note('four')])
    await outbox.send()
    expect((await store.all()).map(({ entry }) => entry.payload)).toEqual([
      { text: 'moved' },
      { text: 'bad' },
    ])
    for (const batch of sent) expect(batch.includes('moved')).toBe(batch.includes('bad'))
  })

  it('can be tried again', async () => {
    let broken = true
    const { outbox, receipts } = line(async (entries) => {
      if (broken) throw new TooLarge('Too much.')
      return accepted(entries)
    })
    const one = note('one')
    await outbox.add([one])
    await outbox.send()
    broken = false
    await store.retry(one.entry.uid)
    await outbox.send()
    expect(receipts.map(({ status }) => status)).toEqual(['refused', 'accepted'])
  })
})

describe('a device that cannot store', () => {
  it('sends what was entered all the same, from memory, and says so meanwhile', async () => {
    let up = false
    const { outbox, sent, unstored, wake } = line(async (entries) => {
      if (!up) throw new Down()
      return accepted(entries)
    })
    vi.spyOn(store, 'put').mockRejectedValue(new DOMException('Full.', 'QuotaExceededError'))
    await outbox.add([note('kept in memory')])
    await outbox.send()
    expect(unstored.at(-1)).toBe(1)
    up = true
    await wake()
    expect(sent.at(-1)).toEqual(['kept in memory'])
    expect(unstored.at(-1)).toBe(0)
  })

  it('opens its store again when the browser has closed it', async () => {
    await store.put([note('before')])
    const closing = createWaitingStore(`outbox ${names}`)
    await closing.all()
    // Another tab brings a newer version: this one has to let go, and comes back.
    const request = indexedDB.deleteDatabase(`outbox ${names}`)
    await new Promise((resolve) => (request.onsuccess = resolve))
    await closing.put([note('after')])
    expect((await closing.all()).map(({ entry }) => entry.payload)).toEqual([{ text: 'after' }])
  })

  it('does something once more on a store that turns out to be shut', async () => {
    const opened: { close: () => void }[] = []
    const { openDB } = await import('idb')
    const watched = createWaitingStore(`shut ${names}`, (async (...given: Parameters<typeof openDB>) => {
      const db = await openDB(...given)
      opened.push(db)
      return db
    }) as typeof openDB)
    await watched.put([note('one')])
    opened[0]?.close()
    await watched.put([note('two')])
    expect((await watched.all()).map(({ entry }) => entry.payload)).toEqual([
      { text: 'one' },
      { text: 'two' },
    ])
    expect(opened).toHaveLength(2)
  })
})
