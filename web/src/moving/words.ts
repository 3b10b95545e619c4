import en from '../words/en/moving.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('moving', en)
