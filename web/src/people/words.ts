import en from '../words/en/people.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('people', en)
