import en from '../words/en/entries.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('entries', en)
