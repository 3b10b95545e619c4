import * as z from 'zod/mini'
import { Day } from '../basics/time/day.ts'
import { plain } from './house.ts'
import { LengthUnit, MassUnit, MEANINGS } from './columns/meaning.ts'
import type { Meaning } from './columns/meaning.ts'

/** What a word in the columns of one meaning stands for, in all rows that have it. */
export const WordAnswer = z.strictObject({
  meaning: z.enum(MEANINGS),
  said: z.string().check(z.describe('The word; empty for rows that say nothing there.')),
  of: z
    .optional(z.string())
    .check(z.describe('The sheet of the rows it is about, where it is about a stage or a count.')),
  is: z
    .nullable(z.string())
    .check(
      z.describe('What it is to be read as, empty for nothing; null: rows with that word are left out.'),
    ),
})
export type WordAnswer = z.infer<typeof WordAnswer>

/** How a stage is told where a row says none: by weight, size and age as the sheet goes by them, or as grown. */
export const Unstaged = z.enum(['told', 'grown'])
export type Unstaged = z.infer<typeof Unstaged>

/** What somebody answered for a whole list. */
export const ListAnswers = z.strictObject({
  words: z._default(z.array(WordAnswer), []),
  undatedOn: z
    ._default(z.nullable(Day), null)
    .check(
      z.describe(
        'The day of what has no day of its own; without one, newcomers are described as of today, and others asked about.',
      ),
    ),
  roughDays: z
    ._default(z.boolean(), false)
    .check(z.describe('What is known to the month or the year only is of the middle of it.')),
  units: z
    ._default(z.strictObject({ weight: z.optional(MassUnit), size: z.optional(LengthUnit) }), {})
    .check(
      z.describe(
        'The unit of numbers that no animal of that kind has in the unit of their column, and could have in this one.',
      ),
    ),
  unstaged: z
    ._default(z.array(Unstaged), [])
    .check(z.describe('How a stage is found where a row says none, in this order.')),
})
export type ListAnswers = z.infer<typeof ListAnswers>

export const NO_ANSWERS: ListAnswers = {
  words: [],
  undatedOn: null,
  roughDays: false,
  units: {},
  unstaged: [],
}

/** A colony that nobody has counted. */
export const UNCOUNTED = 'uncounted'
/** A record of its own for each of several animals in one row. */
export const EACH = 'each'

const keyOf = (meaning: Meaning, said: string, of: string) => [meaning, of, plain(said)].join('\u001f')

/** Answers with one more, in the place of what was answered about the same word before. */
export function withAnswer(words: readonly WordAnswer[], answer: WordAnswer): WordAnswer[] {
  const keyOfAnswer = ({ meaning, said, of = '' }: WordAnswer) => keyOf(meaning, said, of)
  return [...words.filter((one) => keyOfAnswer(one) !== keyOfAnswer(answer)), answer]
}

/** Looks up what a word stands for: undefined where nobody said, null where its rows are left out. */
export type AnswerTo = (meaning: Meaning, said: string, of?: string) => string | null | undefined

export function answersTo({ words }: Pick<ListAnswers, 'words'>): AnswerTo {
  const known = new Map(words.map(({ meaning, said, of = '', is }) => [keyOf(meaning, said, of), is]))
  if (known.size === 0) return () => undefined
  return (meaning, said, of = '') => known.get(keyOf(meaning, said, of))
}
