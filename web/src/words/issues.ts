import type { z } from 'zod'

type Issue = Parameters<z.core.$ZodErrorMap>[0]

function tooSmall({ origin, minimum, inclusive }: Extract<Issue, { code: 'too_small' }>): string {
  if (origin === 'string') return minimum === 1 ? 'Write a word or two.' : `At least ${minimum} letters.`
  if (origin === 'array' || origin === 'set') return `At least ${minimum}.`
  return inclusive === false ? `More than ${minimum}.` : `At least ${minimum}.`
}

function tooBig({ origin, maximum, inclusive }: Extract<Issue, { code: 'too_big' }>): string {
  if (origin === 'string') return `At most ${maximum} letters.`
  return inclusive === false ? `Less than ${maximum}.` : `At most ${maximum}.`
}

function wrongType({ expected, input }: Extract<Issue, { code: 'invalid_type' }>): string {
  if (expected === 'int') return 'A whole number.'
  if (expected === 'number')
    return input === null || input === undefined ? 'A number is needed here.' : 'This is not a number.'
  return 'This is still missing.'
}

/** What a schema finds wrong, as one says it at the field. What a schema words itself is left as it is. */
export function sayIssue(issue: Issue): string {
  switch (issue.code) {
    case 'too_small':
      return tooSmall(issue)
    case 'too_big':
      return tooBig(issue)
    case 'invalid_type':
      return wrongType(issue)
    case 'invalid_value':
      return 'Choose one of these.'
    default:
      return 'This does not fit here.'
  }
}
