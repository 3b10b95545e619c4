import type * as z from 'zod/mini'
import { t } from './facts.ts'

type Issue = Parameters<z.core.$ZodErrorMap>[0]

function tooSmall({ origin, minimum, inclusive }: Extract<Issue, { code: 'too_small' }>): string {
  if (origin === 'string') return minimum === 1 ? t('writeAWordOr') : t('atLeastLetters', { count: minimum })
  if (origin === 'array' || origin === 'set') return t('atLeast', { minimum })
  return inclusive === false ? t('moreThan', { minimum }) : t('atLeast', { minimum })
}

function tooBig({ origin, maximum, inclusive }: Extract<Issue, { code: 'too_big' }>): string {
  if (origin === 'string') return t('atMostLetters', { count: maximum })
  return inclusive === false ? t('lessThan', { maximum }) : t('atMost', { maximum })
}

function wrongType({ expected, input }: Extract<Issue, { code: 'invalid_type' }>): string {
  if (expected === 'int') return t('aWholeNumber')
  if (expected === 'number')
    return input === null || input === undefined ? t('aNumberIsNeeded') : t('thisIsNotA')
  return t('thisIsStillMissing')
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
      return t('chooseOneOfThese')
    default:
      return t('thisDoesNotFit')
  }
}
