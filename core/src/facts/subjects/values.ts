import * as z from 'zod/mini'

// Half of a surrogate pair is no text: a database refuses it.
function isWellFormed(text: string): boolean {
  return !/\p{Surrogate}/u.test(text)
}

/** An identity, in the one spelling that compares: lower case. */
export const Uid = z
  .string()
  .check(
    z.regex(
      /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
      'not a UUID in lower case',
    ),
  )

/** A name or code of at most so many characters. */
export function word(max: number) {
  return z.string().check(z.minLength(1), z.maxLength(max), z.refine(isWellFormed, 'not well-formed text'))
}

/** What somebody wrote. */
export const text = z
  .string()
  .check(z.trim(), z.minLength(1), z.maxLength(4000), z.refine(isWellFormed, 'not well-formed text'))

export const count = z.int().check(z.minimum(0), z.maximum(1_000_000))

/** Which duty of the plan a routine entry answers, when a plan has several of one kind. */
export const duty = z.optional(word(40))
export const confirmed = z
  .optional(z.literal(true))
  .check(z.describe('The keeper was asked about this value and kept it.'))

export const about = z
  .optional(z.literal(true))
  .check(z.describe('It is only about so: estimated, or written down with a "~" or an "ish".'))

/** Before this nobody kept a record that could be brought in. */
const EARLIEST = '1900-01-01T00:00:00.000Z'

/** UTC with milliseconds, so that instants sort as text. */
export const Instant = z.iso.datetime({ precision: 3 }).check(z.refine((at) => at >= EARLIEST, 'before 1900'))
