import { beforeEach, expect, it, vi } from 'vitest'
import { useSite } from '../site/useSite.ts'
import { smallBook, smallHouse } from '../testing/smallHouse.ts'
import { beginShift, lives } from '../testing/standInRecord.ts'
import { useFreePlaces, useHeldPlaces } from './useFreePlaces.ts'

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

it('are followed by boxes of its own kind, where the sheet says that it bears company', () => {
  lives('ada', { enclosure: 'a2' })
  lives('ben', { enclosure: 'a3' })
  useSite().site = smallHouse()
  const book = smallBook()
  const placesOf = (rule: 'alone' | 'groups', id?: string) => {
    useSite().book = {
      ...book,
      sheets: book.sheets.map((sheet) => ({ ...sheet, together: { rule, note: 'So' } })),
    }
    const whom = { barrier: null, sheet: book.sheets[0]?.id ?? '', ...(id !== undefined && { id }) }
    return useHeldPlaces()(whom, () => []).map(({ id: place }) => place)
  }
  expect(placesOf('alone')).toEqual(['a1', 'free', 'b1', 'n1'])
  expect(placesOf('groups')).toEqual(['a1', 'free', 'b1', 'n1', 'a2', 'a3'])
  expect(placesOf('groups', 'ada')).toEqual(['a1', 'free', 'b1', 'n1', 'a3'])
})
