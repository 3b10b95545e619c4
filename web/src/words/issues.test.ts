import { expect, it } from 'vitest'
import { z } from 'zod'
import { checkAgainst } from '../fields/checkAgainst.ts'

const saidOf = (schema: z.ZodType, value: unknown) =>
  Object.values(checkAgainst(schema, value)).flat()[0]?.message

it.each([
  [z.string().min(1), '', 'Write a word or two.'],
  [z.string().min(8), 'short', 'At least 8 letters.'],
  [z.string().max(3), 'long', 'At most 3 letters.'],
  [z.int(), 1.5, 'A whole number.'],
  [z.number(), null, 'A number is needed here.'],
  [z.number().positive(), 0, 'More than 0.'],
  [z.number().max(24), 25, 'At most 24.'],
  [z.enum(['a', 'b']), 'c', 'Choose one of these.'],
  [z.string().regex(/^\d+$/, 'A PIN is digits.'), 'x', 'A PIN is digits.'],
  [z.uuid(), '', 'This does not fit here.'],
])('%#: what is wrong is said in words', (schema, value, says) => {
  expect(saidOf(schema, value)).toBe(says)
})

it('stands where it is wrong', () => {
  const shelf = z.object({ layers: z.array(z.object({ mm: z.number().min(1) })) })
  expect(Object.keys(checkAgainst(shelf, { layers: [{ mm: 3 }, { mm: 0 }] }))).toEqual(['layers.1.mm'])
})
