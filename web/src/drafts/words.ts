import en from '../words/en/drafts.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('drafts', en)
