import en from '../words/en/calculators.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('calculators', en)
