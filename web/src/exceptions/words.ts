import en from '../words/en/exceptions.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('exceptions', en)
