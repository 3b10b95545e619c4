import { expect, it } from 'vitest'
import { forSpreadsheet } from './forSpreadsheet.ts'

it.each([
  ['=cmd("x")', `'=cmd(""x"")`],
  ['+44 20', "'+44 20"],
  ['-\nand on', "'-\nand on"],
  ['@somebody', "'@somebody"],
  ['Gaff, "the old one"', 'Gaff, ""the old one""'],
  [-2.5, '-2.5'],
  ['plain', 'plain'],
])('a spreadsheet is given %j as text or number, never as something to do', (data, told) => {
  expect(forSpreadsheet({ data })).toBe(told)
})
