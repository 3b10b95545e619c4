import en from '../words/en/photos.ts'
import { wordsOf } from '../words/i18n.ts'

export const t = wordsOf('photos', en)
