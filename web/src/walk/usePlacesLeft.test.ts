import type { Entry } from '@kobrin/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { shallowReactive } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import { ME, NOON, residentOf, smallHouse } from '../testing/smallHouse.ts'
import { usePlacesLeft } from './usePlacesLeft.ts'
import { useRound } from './useRound.ts'

const told = vi.hoisted(() => ({ states: new Map<string, object>() }))
vi.mock('../entries/useRecord.ts', () => ({
  useRecord: () => ({ stateOf: (id: string) => told.states.get(id) }),
}))

const arrived = entryOn(TODAY - 30, { kind: 'arrived', payload: { enclosure: 'a1' } })

beforeEach(() => {
  vi.useFakeTimers({ now: NOON })
  told.states = shallowReactive(new Map())
  setActivePinia(createPinia())
  usePeople().me = ME
  told.states.set('ada', stateOf(arrived))
  useSite().site = smallHouse([residentOf('ada')])
})

function happens(...entries: Entry[]): void {
  told.states.set('ada', stateOf(arrived, ...entries))
}

it('a place somebody moved out of waits to be cleaned, until it is', async () => {
  const places = usePlacesLeft()
  expect([...places.left]).toEqual([])
  const moved = entryOn(TODAY, { kind: 'moved', payload: { to: 'a2', leaves: 'toClean' } })
  happens(moved)
  await vi.advanceTimersByTimeAsync(100)
  expect([...places.left]).toEqual([['a1', { leaves: 'toClean', residentId: 'ada' }]])
  expect(useRound().homeOf('ada')).toBe('a2')
  happens(moved, entryOn(TODAY, { kind: 'vacated', payload: { enclosure: 'a1', floor: 'cleaned' } }))
  await vi.advanceTimersByTimeAsync(100)
  expect([...places.left]).toEqual([])
})
