import en from './en/said.ts'
import { wordsOf } from './i18n.ts'

export const t = wordsOf('said', en)
