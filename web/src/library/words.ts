import en from '../words/en/library.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('library', en)
