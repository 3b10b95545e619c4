import { beforeEach, expect, it, vi } from 'vitest'
import { useSite } from '../site/useSite.ts'
import { entryOn, TODAY } from '../testing/residents.ts'
import { residentOf, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, lives } from '../testing/standInRecord.ts'
import { usePlacesLeft } from './usePlacesLeft.ts'
import { useRound } from './useRound.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

beforeEach(() => {
  beginShift({})
  lives('ada', 'a1')
  useSite().site = smallHouse([residentOf('ada')])
})

it('a place somebody moved out of waits to be cleaned, until it is', async () => {
  const places = usePlacesLeft()
  expect([...places.left]).toEqual([])
  const moved = entryOn(TODAY, { kind: 'moved', payload: { to: 'a2', leaves: 'toClean' } })
  lives('ada', 'a1', moved)
  await vi.advanceTimersByTimeAsync(100)
  expect([...places.left]).toEqual([['a1', { leaves: 'toClean', residentId: 'ada' }]])
  expect(useRound().homeOf('ada')).toBe('a2')
  lives(
    'ada',
    'a1',
    moved,
    entryOn(TODAY, { kind: 'vacated', payload: { enclosure: 'a1', floor: 'cleaned' } }),
  )
  await vi.advanceTimersByTimeAsync(100)
  expect([...places.left]).toEqual([])
})
