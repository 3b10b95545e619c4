import en from '../words/en/handover.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('handover', en)
