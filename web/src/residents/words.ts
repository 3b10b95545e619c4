import en from '../words/en/residents.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('residents', en)
