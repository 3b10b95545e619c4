import { expect, it } from 'vitest'
import { isSameMoment, isToCome, usualWhens } from './whens.ts'

it('offers this morning only once it is over', () => {
  expect(usualWhens({ day: 20, minute: 700 })).toEqual({
    morning: { day: 20, minute: 480 },
    evening: { day: 19, minute: 1140 },
  })
  expect(usualWhens({ day: 20, minute: 480 }).morning).toBeNull()
})

it.each([
  [{ day: 20, minute: 701 }, true],
  [{ day: 20, minute: 700 }, false],
  [{ day: 21, minute: 0 }, true],
  [{ day: 19, minute: 1439 }, false],
])('knows whether %o is still to come', (moment, is) => {
  expect(isToCome(moment, { day: 20, minute: 700 })).toBe(is)
})

it('tells now from every moment', () => {
  expect(isSameMoment(null, null)).toBe(true)
  expect(isSameMoment({ day: 1, minute: 2 }, { day: 1, minute: 2 })).toBe(true)
  expect(isSameMoment(null, { day: 1, minute: 2 })).toBe(false)
})
