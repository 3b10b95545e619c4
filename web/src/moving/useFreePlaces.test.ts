import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import { ME, NOON, residentOf, smallHouse } from '../testing/smallHouse.ts'
import { useFreePlaces } from './useFreePlaces.ts'

const states = vi.hoisted(() => new Map<string, object>())
vi.mock('../entries/useRecord.ts', () => ({ useRecord: () => ({ stateOf: (id: string) => states.get(id) }) }))

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: NOON })
  states.clear()
  setActivePinia(createPinia())
  usePeople().me = ME
})

it('are the boxes in which nobody lives, each by the name of its place', () => {
  const arrived = (enclosure: string) =>
    stateOf(entryOn(TODAY - 400, { kind: 'arrived', payload: { enclosure } }))
  states.set('ada', arrived('a2'))
  states.set('ben', arrived('a2'))
  states.set('cas', arrived('a3'))
  useSite().site = smallHouse([residentOf('ada'), residentOf('ben'), residentOf('cas')])
  const free = useFreePlaces().value
  expect(free.map(({ id }) => id)).toEqual(['a1', 'free', 'b1', 'n1'])
  expect(free[0]?.label).toMatch(/^Loft · .+ · shelf 1, place 1$/)
})
