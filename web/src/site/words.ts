import en from '../words/en/site.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('site', en)
