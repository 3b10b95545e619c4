import { expect, it } from 'vitest'
import * as z from 'zod/mini'
import { checkAgainst } from '../fields/checkAgainst.ts'

const saidOf = (schema: z.ZodMiniType, value: unknown) =>
  Object.values(checkAgainst(schema, value)).flat()[0]?.message

it.each([
  [z.string().check(z.minLength(1)), '', 'Write a word or two.'],
  [z.string().check(z.minLength(8)), 'short', 'At least 8 letters.'],
  [z.string().check(z.maxLength(3)), 'long', 'At most 3 letters.'],
  [z.int(), 1.5, 'A whole number.'],
  [z.number(), null, 'A number is needed here.'],
  [z.number().check(z.positive()), 0, 'More than 0.'],
  [z.number().check(z.maximum(24)), 25, 'At most 24.'],
  [z.enum(['a', 'b']), 'c', 'Choose one of these.'],
  [z.string().check(z.regex(/^\d+$/, 'A PIN is digits.')), 'x', 'A PIN is digits.'],
  [z.uuid(), '', 'This does not fit here.'],
])('%#: what is wrong is said in words', (schema, value, says) => {
  expect(saidOf(schema, value)).toBe(says)
})

it('stands where it is wrong', () => {
  const shelf = z.object({ layers: z.array(z.object({ mm: z.number().check(z.minimum(1)) })) })
  expect(Object.keys(checkAgainst(shelf, { layers: [{ mm: 3 }, { mm: 0 }] }))).toEqual(['layers.1.mm'])
})
