import en from '../words/en/paper.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('paper', en)
