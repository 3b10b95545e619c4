import { expect, it } from 'vitest'
import { registerOf, teller, TODAY } from '../testing/residents.ts'
import { sayIdentity } from './sayIdentity.ts'

const HATCHED = TODAY - 800

it.each([
  [{ hatchedOn: HATCHED }, 'hatched or born 3 Mar 2024'],
  [{ hatchedOn: HATCHED, hatchedTo: 'month' as const }, 'hatched or born March 2024'],
  [{ hatchedOn: HATCHED, hatchedTo: 'year' as const, laid: true as const }, 'laid 2024'],
  [{ hatchedOn: null }, ''],
])('%o is told as sure as it is', (part, says) => {
  expect(sayIdentity(undefined, { ...registerOf('Gaff'), ...part }, teller)).toBe(says)
})

it('tells where it comes from, what it is known by, and its licences', () => {
  const known = {
    origin: 'bornHere' as const,
    parents: ['gaff', 'orlop'],
    marks: 'A nick in the tail',
    chip: '985 1',
    pale: true,
    permits: [
      { number: 'L-77', until: TODAY + 3 },
      { number: 'L-78', until: null },
    ],
  }
  expect(sayIdentity(known, null, teller)).toBe(
    'born here · young of Gaff and Orlop · A nick in the tail · pale · chip 985 1 · licence L-77 until 15 May · licence L-78',
  )
})
