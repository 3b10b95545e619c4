import { expect, it } from 'vitest'
import { describedAs, emptied, newlySaid } from './description.ts'

const before = describedAs({ origin: 'captive', marks: 'A nick in the tail' })

it.each([
  ['nothing touched', {}, {}],
  ['a chip added', { chip: ' 985 1 ' }, { chip: '985 1' }],
  ['words said otherwise', { marks: 'No tail' }, { marks: 'No tail' }],
  ['found to be pale', { pale: true }, { pale: true }],
])('%s is what is said anew', (_, touched, said) => {
  expect(newlySaid({ ...before, ...touched }, before)).toEqual(said)
})

it('can say that it is not pale after all', () => {
  const pale = describedAs({ pale: true })
  expect(newlySaid({ ...pale, pale: false }, pale)).toEqual({ pale: false })
})

it('knows what was taken away and cannot be unsaid', () => {
  expect(emptied({ ...before, marks: ' ' }, before)).toEqual(['marks'])
  expect(emptied(before, before)).toEqual([])
})
