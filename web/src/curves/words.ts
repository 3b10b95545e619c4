import en from '../words/en/curves.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('curves', en)
