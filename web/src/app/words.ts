import en from '../words/en/app.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('app', en)
