import { plainNumber } from '../fields/readSigned.ts'
import type { Answers, Field } from './ask.ts'
import { t } from './words.ts'

/** A number as keepers type it: comma or point, spaces between thousands. */
export function readNumber(text: string): number | null {
  const cleaned = plainNumber(text)
  if (!/^\d+(\.\d+)?$|^\.\d+$/.test(cleaned)) return null
  const value = Number(cleaned)
  return value > 0 ? value : null
}

/** A count as keepers type it: whole, and none is a count like any other. */
export function readCount(text: string): number | null {
  if (text.trim() === '0') return 0
  const value = readNumber(text)
  return value !== null && Number.isInteger(value) ? value : null
}

function wrongWith(field: Field, typed: string): string | null {
  if (field.type === 'text' && field.required && typed === '') return t('writeAWordOr')
  if (field.type !== 'number') return null
  if (typed === '') return field.required ? t('howMany2', { unit: field.unit }) : null
  if (field.orNone && readCount(typed) === 0) return null
  const value = readNumber(typed)
  if (value === null) return t('isNotANumber', { typed, unit: field.unit })
  if (field.whole && !Number.isInteger(value)) return t('wholeOnly', { unit: field.unit })
  return null
}

/** Something wrong with what was typed, in the keeper's words, and at which field of a form. */
export interface Complaint {
  complaint: string
  field?: string
}

/** What a form's fields say, or the first thing wrong with them in the keeper's words. */
export function readAnswers(
  fields: readonly Field[],
  typed: Readonly<Record<string, string>>,
): Answers | Complaint {
  const said = (name: string) => (typed[name] ?? '').trim()
  for (const field of fields) {
    const complaint = wrongWith(field, said(field.name))
    if (complaint) return { complaint, field: field.name }
  }
  return {
    text: (name) => said(name) || undefined,
    number: (name) => readNumber(said(name)) ?? readCount(said(name)) ?? undefined,
    ticked: (name) => said(name) === 'yes',
  }
}
