import en from '../words/en/time.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('time', en)
