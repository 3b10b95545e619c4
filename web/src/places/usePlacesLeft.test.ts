import { beforeEach, expect, it, vi } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import { beginShift, lives, waitingPlaces } from '../testing/standInRecord.ts'
import { usePlacesLeft } from './usePlacesLeft.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

beforeEach(() => beginShift())

it('a place somebody moved out of waits to be cleaned, until it is', () => {
  const places = usePlacesLeft()
  expect(places.left.has('a1')).toBe(false)
  const mark = { day: 1, at: '', by: 'lotte', uid: 'x' }
  waitingPlaces.set('a1', { ...mark, resident: 'ada', leaves: 'toClean' })
  expect(places.left.get('a1')).toMatchObject({ leaves: 'toClean', resident: 'ada' })
  expect(places.open).toMatchObject([{ enclosureId: 'a1', verdict: { what: { code: 'vacated' } } }])
  lives('ada', {}, entryOn(TODAY - 1, { kind: 'died', payload: {} }))
  expect(places.leftBy('a1')).toBe('ada moved out')
  waitingPlaces.set('a1', { ...mark, at: '2100-01-01T00:00:00.000Z', resident: 'ada', leaves: 'toClean' })
  expect(places.leftBy('a1')).toBe('ada died')
  waitingPlaces.delete('a1')
  expect(places.left.has('a1')).toBe(false)
})
