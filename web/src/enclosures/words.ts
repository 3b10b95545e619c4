import en from '../words/en/enclosures.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('enclosures', en)
