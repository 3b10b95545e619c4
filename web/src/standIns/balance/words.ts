import en from '../../words/en/standIns.ts'
import { wordsOf } from '../../words/i18n.ts'

export const t = wordsOf('standIns', en)
