import type { Bay, Enclosure, KeepBay } from '@kobrin/contract'
import { emptyBuild } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { copied, layoutOf, useBay } from './useBay.ts'

const BAY: Bay = { id: 'b', roomId: 'r', name: 'Bench', order: 0, barrier: null, widthMm: 1000, version: 4 }

function box(id: string, row: number, column: number, more: Partial<Enclosure> = {}): Enclosure {
  const size = { widthMm: 300, depthMm: 200, heightMm: 200 }
  return { id, bayId: 'b', row, column, ...size, build: emptyBuild(), retired: false, ...more }
}

const STANDING = [box('c', 1, 0), box('b', 0, 1), box('a', 0, 0), box('x', 0, 2, { retired: true })]
const names = ({ shelves }: Pick<KeepBay, 'shelves'>) =>
  shelves.map((boxes) => boxes.map(({ id }) => id).join(''))
const furnished = () => useBay(layoutOf(BAY, [...STANDING, box('o', 0, 0, { bayId: 'other' })]))

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
    const { bay, redraw, undo } = furnished()
    const [a] = bay.shelves[0] ?? []
    redraw({ name: 'Old bench', barrier: 2, widthMm: null, shelves: a ? [[a]] : [] })
    expect([names(bay), bay.name, bay.barrier, bay.version]).toEqual([['a'], 'Old bench', 2, 4])
    undo()
    expect(names(bay)).toEqual(['ab', 'c'])
  })

  it('moves, copies, widens and takes away, and takes each step back', () => {
    const { bay, chosen, put, nudge, resize, copy, takeAway, addShelf, dropShelf, undo, canUndo } =
      furnished()
    put('c', { shelf: 0, column: 1 })
    expect(names(bay)).toEqual(['acb', ''])
    nudge({ column: -1 })
    expect(names(bay)).toEqual(['cab', ''])
    nudge({ column: -1 })
    expect(names(bay)).toEqual(['cab', ''])
    dropShelf(1)
    addShelf()
    nudge({ shelf: 1 })
    expect(names(bay)).toEqual(['ab', 'c'])
    resize({ widthMm: 450 })
    expect(bay.shelves[1]?.[0]?.widthMm).toBe(450)
    copy()
    expect(bay.shelves[1]?.map(({ widthMm }) => widthMm)).toEqual([450, 450])
    expect(chosen.value).not.toBe('c')
    takeAway()
    expect(names(bay)).toEqual(['ab', 'c'])
    while (canUndo.value) undo()
    expect(names(bay)).toEqual(['ab', 'c'])
    expect(bay.shelves[1]?.[0]?.widthMm).toBe(300)
  })

  it('adds a row of equal boxes at once, and says what does not fit', () => {
    const { bay, addRow, faults, longestMm } = furnished()
    expect(addRow(1, 'a few')).toBe(false)
    expect(addRow(1, '3 of 250 x 200 x 150')).toBe(true)
    expect(bay.shelves[1]?.map(({ widthMm }) => widthMm)).toEqual([300, 250, 250, 250])
    expect(faults.value).toEqual([{ code: 'widerThanShelf', shelf: 1, overMm: 50 }])
    expect(longestMm.value).toBe(1050)
  })

  it('begins again from what a colleague kept', () => {
    const { bay, put, takeUp, canUndo } = furnished()
    put('c', { shelf: 0, column: 0 })
    takeUp({ ...layoutOf(BAY, [box('n', 0, 0)]), version: 5 })
    expect([names(bay), bay.version, canUndo.value]).toEqual([['n'], 5, false])
  })
})

it('a copy is the same furniture with identities of its own', () => {
  const { shelves } = layoutOf(BAY, STANDING)
  const again = copied(shelves)
  expect(again.map((boxes) => boxes.map(({ widthMm }) => widthMm))).toEqual([[300, 300], [300]])
  expect(new Set([...shelves, ...again].flat().map(({ id }) => id)).size).toBe(6)
})
