import { z } from 'zod'

// Half of a surrogate pair is no text: a database refuses it.
function isWellFormed(text: string): boolean {
  return !/\p{Surrogate}/u.test(text)
}

/** An identity, in the one spelling that compares: lower case. */
export const Uid = z
  .string()
  .regex(
    /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
    'not a UUID in lower case',
  )

/** A name or code of at most so many characters. */
export function word(max: number) {
  return z.string().min(1).max(max).refine(isWellFormed, 'not well-formed text')
}

/** What somebody wrote. */
export const text = z.string().trim().min(1).max(4000).refine(isWellFormed, 'not well-formed text')

export const count = z.int().min(0).max(1_000_000)

/** Which duty of the plan a routine entry answers, when a plan has several of one kind. */
export const duty = word(40).optional()
export const confirmed = z
  .literal(true)
  .optional()
  .describe('The keeper was asked about this value and kept it.')

/** Before this nobody kept a record that could be brought in. */
const EARLIEST = '1900-01-01T00:00:00.000Z'

/** UTC with milliseconds, so that instants sort as text. */
export const Instant = z.iso.datetime({ precision: 3 }).refine((at) => at >= EARLIEST, 'before 1900')
