import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Barrier } from './place.ts'
import { levelOf, levelOfBay } from './building.ts'

const level = fc.constantFrom<Barrier>(0, 1, 2, 3)

describe('the level at which a resident is walked', () => {
  it.each([
    [1, null, null, 1],
    [1, 0, null, 0],
    [1, 0, 1, 1],
    [1, null, 0, 1],
    [1, null, 2, 2],
    [1, 3, 1, 3],
    [2, 0, null, 2],
    [2, null, 1, 2],
    [0, null, null, 0],
  ] as const)('room %s, bay %s, its own %s: %s', (room, bay, own, expected) => {
    expect(levelOf(levelOfBay(room, bay), own)).toBe(expected)
  })

  it('is never below a level that shuts off', () => {
    fc.assert(
      fc.property(level, fc.option(level), fc.option(level), (room, bay, own) => {
        const strictest = Math.max(room, bay ?? 0, own ?? 0)
        if (strictest > 1) expect(levelOf(levelOfBay(room, bay), own)).toBe(strictest)
      }),
    )
  })
})
