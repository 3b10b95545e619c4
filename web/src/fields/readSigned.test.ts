import { expect, it } from 'vitest'
import { readSigned, sayTyped } from './readSigned.ts'

it.each([
  ['42.5', 42.5],
  ['42,5', 42.5],
  ['-3', -3],
  ['\u22123', -3],
  ['0', 0],
  ['1 612', 1612],
  ['.5', 0.5],
  // Nobody knows which of them divides what: 1.234 g and 1234 g are not the same snake.
  ['1,234.5', null],
  ['1.234,5', null],
  ['42 g', null],
  ['', null],
  ['-', null],
])('"%s" is %s', (typed, value) => {
  expect(readSigned(typed)).toBe(value)
})

it('is said as it would be typed, and none as nothing', () => {
  expect([sayTyped(42.5), sayTyped(0), sayTyped(null)]).toEqual(['42.5', '0', ''])
})
