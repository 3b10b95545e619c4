import type { Bay, Enclosure, KeepBay, PastBay } from '@kobrin/contract'
import { emptyBuild } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { FurnishingEvent } from './furnishing.ts'
import { begun, furnish, layoutOf, longestMm } from './furnishing.ts'
import { copied, useBay } from './useBay.ts'

const BAY: Bay = { id: 'b', roomId: 'r', name: 'Bench', order: 0, barrier: null, widthMm: 1000, version: 4 }

function box(id: string, row: number, column: number, more: Partial<Enclosure> = {}): Enclosure {
  const size = { widthMm: 300, depthMm: 200, heightMm: 200 }
  return { id, bayId: 'b', row, column, ...size, build: emptyBuild(), retired: false, ...more }
}

const STANDING = [box('c', 1, 0), box('b', 0, 1), box('a', 0, 0), box('x', 0, 2, { retired: true })]
const names = ({ shelves }: Pick<KeepBay, 'shelves'>) =>
  shelves.map((boxes) => boxes.map(({ id }) => id).join(''))
const onRecord = () => layoutOf(BAY, [...STANDING, box('o', 0, 0, { bayId: 'other' })])

/** What a bay has come to after one event upon another. */
function furnished(...events: FurnishingEvent[]) {
  return events.reduce((now, event) => furnish(now, event).now, begun(onRecord()))
}

describe('a bay as it stands', () => {
  it('has its shelves from the top and its boxes from the left, without those that were retired', () => {
    expect(names(layoutOf(BAY, STANDING))).toEqual(['ab', 'c'])
    expect(layoutOf(BAY, STANDING)).toMatchObject({ name: 'Bench', widthMm: 1000, version: 4 })
  })

  it('keeps a shelf on which nothing stands between two others', () => {
    expect(names(layoutOf(BAY, [box('a', 0, 0), box('z', 2, 0)]))).toEqual(['a', '', 'z'])
  })
})

describe('furnishing a bay', () => {
  it('draws it as it stood once, from the version that is in force, and back again', () => {
    const [a] = onRecord().shelves[0] ?? []
    const layout: PastBay['layout'] = {
      name: 'Old bench',
      barrier: 2,
      widthMm: null,
      shelves: a ? [[a]] : [],
    }
    const drawn = furnished({ type: 'redrawn', layout })
    const { bay } = drawn
    expect([names(bay), bay.name, bay.barrier, bay.version]).toEqual([['a'], 'Old bench', 2, 4])
    expect(names(furnish(drawn, { type: 'undone' }).now.bay)).toEqual(['ab', 'c'])
  })

  it.each<[string, FurnishingEvent[], string[]]>([
    ['put', [{ type: 'put', id: 'c', to: { shelf: 0, column: 1 } }], ['acb', '']],
    [
      'nudged to the left',
      [
        { type: 'chosen', id: 'b' },
        { type: 'nudged', by: { column: -1 } },
      ],
      ['ba', 'c'],
    ],
    [
      'nudged over the edge, which moves nothing',
      [
        { type: 'chosen', id: 'a' },
        { type: 'nudged', by: { column: -1 } },
        { type: 'nudged', by: { shelf: -1 } },
      ],
      ['ab', 'c'],
    ],
    ['nudged with none in hand', [{ type: 'nudged', by: { shelf: 1 } }], ['ab', 'c']],
    [
      'copied beside itself',
      [
        { type: 'chosen', id: 'a' },
        { type: 'copied', as: 'n' },
      ],
      ['anb', 'c'],
    ],
    ['copied with none in hand', [{ type: 'copied', as: 'n' }], ['ab', 'c']],
    ['taken away', [{ type: 'chosen', id: 'a' }, { type: 'takenAway' }], ['b', 'c']],
    ['a shelf more', [{ type: 'shelfAdded' }], ['ab', 'c', '']],
    ['a shelf less', [{ type: 'shelfDropped', shelf: 0 }], ['c']],
    ['taken back with nothing done', [{ type: 'undone' }], ['ab', 'c']],
  ])('a box or shelf is %s', (_, events, comesTo) => {
    expect(names(furnished(...events).bay)).toEqual(comesTo)
  })

  it('has in hand what was copied, and nothing once it was taken away', () => {
    const copies = furnished({ type: 'chosen', id: 'a' }, { type: 'copied', as: 'n' })
    expect(copies.chosen).toBe('n')
    expect(furnish(copies, { type: 'takenAway' }).now.chosen).toBeNull()
  })

  it('takes each step back, and what was typed stays', () => {
    const events: FurnishingEvent[] = [
      { type: 'put', id: 'c', to: { shelf: 0, column: 1 } },
      { type: 'resized', size: { widthMm: 450 } },
      { type: 'typed', part: { name: 'Long bench' } },
      { type: 'undone' },
      { type: 'undone' },
    ]
    const { bay, past } = furnished(...events)
    expect([names(bay), bay.shelves[1]?.[0]?.widthMm, bay.name]).toEqual([['ab', 'c'], 300, 'Long bench'])
    expect(past).toEqual([])
  })

  it('begins again from what a colleague kept', () => {
    const theirs = { ...layoutOf(BAY, [box('n', 0, 0)]), version: 5 }
    const { bay, past } = furnished(
      { type: 'put', id: 'c', to: { shelf: 0, column: 0 } },
      { type: 'takenUp', bay: theirs },
    )
    expect([names(bay), bay.version, past]).toEqual([['n'], 5, []])
  })

  it('is drawn as long as its longest shelf', () => {
    expect(longestMm(furnished())).toBe(1000)
    const boxes = [1, 2, 3].map((at) => ({ id: `n${at}`, widthMm: 250, depthMm: 200, heightMm: 150 }))
    expect(longestMm(furnished({ type: 'added', shelf: 1, boxes }))).toBe(1050)
  })
})

describe('a bay on a page', () => {
  it('adds a row of equal boxes at once, and says what does not fit', () => {
    const { bay, addRow, faults } = useBay(onRecord())
    expect(addRow(1, 'a few')).toBe(false)
    expect(addRow(1, '3 of 250 x 200 x 150')).toBe(true)
    expect(bay.shelves[1]?.map(({ widthMm }) => widthMm)).toEqual([300, 250, 250, 250])
    expect(faults.value).toEqual([{ code: 'widerThanShelf', shelf: 1, overMm: 50 }])
  })

  it('gives every copy an identity of its own', () => {
    const { bay, choose, copy } = useBay(onRecord())
    choose('a')
    copy()
    copy()
    expect(new Set(bay.shelves.flat().map(({ id }) => id)).size).toBe(5)
  })
})

it('a copy is the same furniture with identities of its own', () => {
  const { shelves } = layoutOf(BAY, STANDING)
  const again = copied(shelves)
  expect(again.map((boxes) => boxes.map(({ widthMm }) => widthMm))).toEqual([[300, 300], [300]])
  expect(new Set([...shelves, ...again].flat().map(({ id }) => id)).size).toBe(6)
})
