import en from '../words/en/leaving.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('leaving', en)
