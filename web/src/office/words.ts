import en from '../words/en/office.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('office', en)
