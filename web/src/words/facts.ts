import en from './en/facts.ts'
import { wordsOf } from './i18n.ts'

export const t = wordsOf('facts', en)
