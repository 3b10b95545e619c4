import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { advanced, isBehind, isPast, readBookmark, sayBookmark } from './bookmark.ts'

const place = fc.record({ stream: fc.integer({ min: 1, max: 5 }), seq: fc.integer({ min: 1, max: 1e6 }) })

describe('a bookmark in the feed', () => {
  it('survives being said and read', () => {
    fc.assert(
      fc.property(fc.array(place), (places) => {
        const bookmark = places.reduce(advanced, {})
        expect(readBookmark(sayBookmark(bookmark))).toEqual(bookmark)
      }),
    )
  })

  it('is past everything it was advanced over, and never goes back', () => {
    fc.assert(
      fc.property(fc.array(place), place, (places, next) => {
        const before = places.reduce(advanced, {})
        const after = advanced(before, next)
        expect(isPast(after, next)).toBe(true)
        expect(isBehind(before, after)).toBe(true)
        expect(places.every((one) => isPast(after, one))).toBe(true)
      }),
    )
  })

  it.each(['1', '1:', 'a:1', '1:2,', '1:2;3:4', '1:-2'])('cannot be read from "%s"', (text) => {
    expect(readBookmark(text)).toBeNull()
  })
})
