import en from '../words/en/weighing.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('weighing', en)
