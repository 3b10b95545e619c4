import en from '../words/en/walkParts.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('walkParts', en)
