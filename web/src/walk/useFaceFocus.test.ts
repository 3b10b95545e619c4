import { describe, expect, it } from 'vitest'
import { neighbour } from './useFaceFocus.ts'

/** Two shelves: three narrow boxes over two wide ones. */
const spots = [
  { id: 'a', x: 50, top: 0, bottom: 100 },
  { id: 'b', x: 150, top: 0, bottom: 100 },
  { id: 'c', x: 250, top: 0, bottom: 100 },
  { id: 'd', x: 75, top: 110, bottom: 210 },
  { id: 'e', x: 225, top: 110, bottom: 210 },
]

describe('moving over the face', () => {
  it.each([
    ['a', 'right', 'b'],
    ['c', 'right', 'd'],
    ['d', 'left', 'c'],
    ['c', 'down', 'e'],
    ['a', 'down', 'd'],
    ['e', 'up', 'c'],
    ['d', 'up', 'a'],
  ] as const)('from %s %s is %s', (from, direction, to) => {
    expect(neighbour(spots, from, direction)).toBe(to)
  })

  it('stays at the edges', () => {
    expect(neighbour(spots, 'a', 'left')).toBe('a')
    expect(neighbour(spots, 'a', 'up')).toBe('a')
    expect(neighbour(spots, 'e', 'down')).toBe('e')
  })

  it('begins at the first when nothing has the focus', () => {
    expect(neighbour(spots, null, 'down')).toBe('a')
    expect(neighbour([], null, 'down')).toBeNull()
  })
})
