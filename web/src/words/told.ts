import en from './en/told.ts'
import { wordsOf } from './i18n.ts'

export const t = wordsOf('told', en)
