import en from '../words/en/places.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('places', en)
