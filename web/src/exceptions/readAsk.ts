import type { Draft, Severity } from '@kobrin/core'
import type { Ask } from './ask.ts'
import { draftsOf } from './ask.ts'
import type { Complaint } from './readAnswers.ts'
import { readAnswers, readNumber } from './readAnswers.ts'
import { t } from './words.ts'

export type Said = readonly [Draft, ...Draft[]]

/** What was typed says this, or the first thing wrong with it in the keeper's words; null where more has
 * to be said first. */
export function readAsk(
  ask: Ask,
  typed: string,
  answers: Readonly<Record<string, string>>,
  severity?: Severity,
): { said: Said } | Complaint | null {
  switch (ask.type) {
    case 'nothing':
      return { said: [ask.draft] }
    case 'choice':
    case 'page':
      return null
    case 'number': {
      const value = readNumber(typed)
      if (value !== null) return { said: [ask.draft(value)] }
      return { complaint: t('isNotANumberOf', { typed, unit: ask.unit }) }
    }
    case 'text':
    case 'graded': {
      const text = typed.trim()
      if (text === '') return { complaint: t('writeAWordOrTwo') }
      if (ask.type === 'text') return { said: [ask.draft(text)] }
      return severity ? { said: [ask.draft(text, severity)] } : null
    }
    case 'form': {
      const read = readAnswers(ask.fields, answers)
      return 'complaint' in read ? read : { said: draftsOf(ask.draft(read)) }
    }
  }
}
