import en from '../words/en/setup.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('setup', en)
