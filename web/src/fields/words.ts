import en from '../words/en/fields.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('fields', en)
