import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { NOON, residentOf, smallHouse } from '../testing/smallHouse.ts'
import { useSite } from './useSite.ts'

/** How long the answer is under way, milliseconds. */
const wire = vi.hoisted((): { takes: number; answer: object } => ({ takes: 0, answer: {} }))
vi.mock('../wire/api.ts', () => ({
  api: {
    site: () => {
      vi.setSystemTime(Date.now() + wire.takes)
      return Promise.resolve(wire.answer)
    },
  },
}))

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: NOON })
  setActivePinia(createPinia())
  wire.takes = 0
  wire.answer = smallHouse([residentOf('ada')])
})

describe('the clock of the server', () => {
  it.each([
    [0, 0, 0],
    [-90_000, 0, 90_000],
    [0, 800, -400],
    [60_000, 800, -60_400],
  ])('with ours %i ms ahead and %i ms on the wire is told from ours by %i ms', async (ahead, takes, told) => {
    vi.setSystemTime(NOON + ahead)
    wire.takes = takes
    const site = useSite()
    await site.load()
    expect(site.clockBehind).toBe(told)
  })
})

describe('a place', () => {
  it('is at the strictest level anyone set for it: the animal, else the bay, else the room', () => {
    const site = useSite()
    site.site = smallHouse([])
    const level = (box: string, barrier: 0 | 3 | null = null) =>
      site.placeOf(box, residentOf('ada', { barrier }))?.barrier
    expect([level('a1'), level('b1'), level('n1'), level('a1', 3)]).toEqual([1, 2, 0, 3])
  })

  it('that is nowhere has no level and is called so', () => {
    const site = useSite()
    site.site = smallHouse([])
    expect(site.placeOf('gone', residentOf('ada'))).toBeNull()
    expect(site.placeName('gone')).toBe('no place')
    expect(site.placeName('b1')).toBe('Loft · Bay B · shelf 1, place 1')
  })
})
