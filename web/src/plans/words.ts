import en from '../words/en/plans.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('plans', en)
