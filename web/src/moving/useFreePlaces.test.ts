import { beforeEach, expect, it, vi } from 'vitest'
import { useSite } from '../site/useSite.ts'
import { smallBook, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, lives } from '../testing/standInRecord.ts'
import { useFreePlaces } from './useFreePlaces.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

beforeEach(() => beginShift())

it('are the boxes in which nobody lives, each by the name of its place', () => {
  lives('ada', { enclosure: 'a2' })
  lives('ben', { enclosure: 'a2' })
  lives('cas', { enclosure: 'a3' })
  useSite().site = smallHouse()
  useSite().book = smallBook()
  const free = useFreePlaces().value
  expect(free.map(({ id }) => id)).toEqual(['a1', 'free', 'b1', 'n1'])
  expect(free[0]?.label).toMatch(/^Loft · .+ · shelf 1, place 1$/)
})
