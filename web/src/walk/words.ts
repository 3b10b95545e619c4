import en from '../words/en/walk.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('walk', en)
