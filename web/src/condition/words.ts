import en from '../words/en/condition.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('condition', en)
