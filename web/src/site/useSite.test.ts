import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { useRegister } from '../residents/useRegister.ts'
import { registerOf } from '../testing/residents.ts'
import { NOON, smallBook, smallHouse } from '../testing/smallHouse.ts'
import { useSite } from './useSite.ts'

beforeEach(() => setActivePinia(createPinia()))

describe('the clock of the server', () => {
  it.each([
    [0, 0, 0],
    [-90_000, 0, 90_000],
    [0, 800, -400],
    [60_000, 800, -60_400],
  ])('with ours %i ms ahead and %i ms on the wire is told from ours by %i ms', (ahead, takes, told) => {
    const site = useSite()
    site.setClock(NOON, NOON + ahead, NOON + ahead + takes)
    expect(site.clockBehind).toBe(told)
  })
})

describe('a place', () => {
  it('is at the stricter level of the animal and of where it lives', () => {
    const site = useSite()
    site.site = smallHouse()
    const level = (box: string, barrier: 0 | 1 | 3 | null = null) => site.placeOf(box, { barrier })?.barrier
    expect([level('a1'), level('b1'), level('n1'), level('a1', 3), level('b1', 1)]).toEqual([1, 2, 0, 3, 2])
  })
})

describe('who lives here', () => {
  it('is told by the entries, with the number the server gave out once it has', () => {
    const site = useSite()
    site.site = smallHouse({ ada: '0001' })
    site.book = smallBook()
    const register = useRegister()
    for (const id of ['ben', 'ada']) register.put(id, registerOf(id))
    expect([...site.residents.values()]).toMatchObject([
      { id: 'ben', name: 'ben', accession: '', lives: 'individual' },
      { id: 'ada', name: 'ada', accession: '0001' },
    ])
    register.put('ben', null)
    expect([...site.residents.keys()]).toEqual(['ada'])
  })
})
