import en from '../words/en/kept.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('kept', en)
