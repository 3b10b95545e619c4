import en from '../words/en/record.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('record', en)
