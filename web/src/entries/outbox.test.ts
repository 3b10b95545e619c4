import 'fake-indexeddb/auto'
import type { PostedEntry, Receipt } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { beforeEach, describe, expect, it } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import type { Outbox, OutboxOptions, Shelf } from './outbox.ts'
import { createOutbox, openShelf } from './outbox.ts'

let shelf: Shelf
let names = 0

beforeEach(async () => {
  names += 1
  shelf = await openShelf(`outbox ${names}`)
})

function note(text: string): Entry {
  return entryOn(TODAY, { kind: 'noted', payload: { text } })
}

const accepted = (entries: readonly PostedEntry[]): { receipts: Receipt[] } => ({
  receipts: entries.map(({ uid }, index) => ({ uid, status: 'accepted', seq: index + 1 })),
})

class Down extends Error {}

interface Line {
  outbox: Outbox
  sent: string[][]
  receipts: Receipt[]
  troubles: unknown[]
  /** Waits that were asked for, in milliseconds. */
  waits: number[]
  /** The time has come. */
  wake: () => void
}

function line(post: OutboxOptions['post']): Line {
  const sent: string[][] = []
  const receipts: Receipt[] = []
  const troubles: unknown[] = []
  const waits: number[] = []
  let task = (): void => undefined
  const outbox = createOutbox({
    shelf,
    post: (entries) => {
      sent.push(entries.map(({ payload }) => ('text' in payload ? payload.text : '')))
      return post(entries)
    },
    canWait: (error) => error instanceof Down,
    onReceipt: (receipt) => receipts.push(receipt),
    onTrouble: (error) => troubles.push(error),
    later: (next, ms) => {
      waits.push(ms)
      task = next
      return () => (task = () => undefined)
    },
  })
  return { outbox, sent, receipts, troubles, waits, wake: () => task() }
}

describe('the outbox', () => {
  it('sends in the order of making and empties the shelf', async () => {
    const { outbox, sent, receipts } = line(async (entries) => accepted(entries))
    await outbox.add([note('one'), note('two')])
    await outbox.add([note('three')])
    await outbox.send()
    expect(sent.flat()).toEqual(['one', 'two', 'three'])
    expect(receipts).toHaveLength(3)
    expect(await shelf.all()).toEqual([])
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
    expect(await shelf.all()).toHaveLength(2)
    expect(waits.length).toBeGreaterThanOrEqual(2)
    for (const [index, ms] of waits.slice(1).entries()) expect(ms).toBeGreaterThan(waits[index] ?? 0)
    up = true
    wake()
    await outbox.send()
    expect(sent.at(-1)).toEqual(['one', 'two'])
    expect(await shelf.all()).toEqual([])
  })

  it('outlives the page: what waited is there for the next', async () => {
    const dead = line(async () => {
      throw new Down()
    })
    await dead.outbox.add([note('before the battery went')])
    await dead.outbox.send()
    const { outbox, sent } = line(async (entries) => accepted(entries))
    await outbox.send()
    expect(sent).toEqual([['before the battery went']])
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
    const entry = note('once')
    await outbox.add([entry])
    await outbox.send()
    await outbox.send()
    expect(uids).toEqual([entry.uid, entry.uid])
  })

  it('puts aside what the server will not keep, with the reason, and goes on with the rest', async () => {
    const { outbox, receipts } = line(async (entries) => ({
      receipts: entries.map(({ uid, payload }, index): Receipt =>
        'text' in payload && payload.text === 'bad'
          ? { uid, status: 'refused', code: 'not_allowed', message: 'Your role does not allow this.' }
          : { uid, status: 'accepted', seq: index + 1 },
      ),
    }))
    await outbox.add([note('good'), note('bad'), note('also good')])
    await outbox.send()
    expect((await shelf.all()).map(({ entry, refusal }) => [entry.payload, refusal])).toEqual([
      [{ text: 'bad' }, 'Your role does not allow this.'],
    ])
    await outbox.send()
    expect(receipts).toHaveLength(3)
  })

  it('loses nothing when the server answers without a receipt', async () => {
    const { outbox, troubles } = line(async () => ({ receipts: [] }))
    await shelf.put([note('one')])
    await outbox.send()
    expect(troubles).toHaveLength(1)
    expect(await shelf.all()).toHaveLength(1)
  })
})
