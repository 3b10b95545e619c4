import en from '../words/en/verdicts.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('verdicts', en)
