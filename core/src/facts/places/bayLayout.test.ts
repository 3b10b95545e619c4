import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BayLayout } from './bayLayout.ts'
import { boxMoved, layoutFaults, readRowOfBoxes } from './bayLayout.ts'

const box = (id: string, widthMm = 300) => ({ id, widthMm, depthMm: 200, heightMm: 200 })
const layout = (shelves: string[][], widthMm: number | null = null): BayLayout => ({
  widthMm,
  shelves: shelves.map((ids) => ids.map((id) => box(id))),
})
const ids = ({ shelves }: BayLayout) => shelves.map((boxes) => boxes.map(({ id }) => id).join(''))

describe('a bay', () => {
  it('holds as much as is as wide as it is, and says which shelf holds more and by how much', () => {
    expect(layoutFaults(layout([['a', 'b'], ['c']], 600))).toEqual([])
    expect(layoutFaults(layout([['a'], ['b', 'c', 'd']], 850))).toEqual([
      { code: 'widerThanShelf', shelf: 1, overMm: 50 },
    ])
    expect(layoutFaults(layout([['a', 'b', 'c']], null))).toEqual([])
  })

  it('holds no box twice', () => {
    expect(layoutFaults(layout([['a'], ['a']]))).toEqual([{ code: 'twice', id: 'a' }])
  })

  it('loses and doubles no box, wherever one is put', () => {
    const names = ['a', 'b', 'c', 'd', 'e', 'f']
    fc.assert(
      fc.property(
        fc.shuffledSubarray(names, { minLength: 6 }),
        fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 2 }),
        fc.constantFrom(...names, 'z'),
        fc.integer({ min: -1, max: 4 }),
        fc.integer({ min: -2, max: 9 }),
        (order, cuts, id, shelf, column) => {
          const [one = 0, other = 0] = [...cuts].sort()
          const before = layout([order.slice(0, one), order.slice(one, other), order.slice(other)])
          const after = boxMoved(before, id, { shelf, column })
          expect(ids(after).join('').split('').sort().join('')).toBe('abcdef')
          if (id !== 'z' && shelf >= 0 && shelf < 3) expect(ids(after)[shelf]).toContain(id)
        },
      ),
    )
  })

  it.each([
    ['a', 0, 2, ['bca', 'de']],
    ['d', 0, 0, ['dabc', 'e']],
    ['b', 1, 9, ['ac', 'deb']],
  ])('puts %s on shelf %i at %i', (id, shelf, column, expected) => {
    expect(
      ids(
        boxMoved(
          layout([
            ['a', 'b', 'c'],
            ['d', 'e'],
          ]),
          id,
          { shelf, column },
        ),
      ),
    ).toEqual(expected)
  })
})

describe('a row of equal boxes', () => {
  it.each(['12 of 300 × 200 × 150', '12 x 300x200x150', ' 12 × 300 * 200 * 150 mm '])(
    'is read from "%s"',
    (text) => {
      expect(readRowOfBoxes(text)).toEqual({ count: 12, box: { widthMm: 300, depthMm: 200, heightMm: 150 } })
    },
  )

  it.each([
    '',
    'twelve',
    '0 of 300 x 200 x 200',
    '201 of 300 x 200 x 200',
    '3 of 300 x 200',
    '3 of 30 cm x 2 x 2',
    '3 of 300 x 200 x 5',
    '-1 of 300 x 200 x 200',
  ])('is not read from "%s"', (text) => {
    expect(readRowOfBoxes(text)).toBeNull()
  })

  it('is read in another unit by whoever types in one', () => {
    const box = { widthMm: 305, depthMm: 203, heightMm: 216 }
    expect(readRowOfBoxes('4 of 12 × 8 × 8,5', (inches) => inches * 25.4)).toEqual({ count: 4, box })
  })
})
