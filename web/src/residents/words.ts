import questions from '../words/en/questions.ts'
import en from '../words/en/residents.ts'
import { tablesOf, wordsOf } from '../words/i18n.ts'

export const t = wordsOf('residents', en)
/** What can be asked of everybody. */
export const asks = tablesOf('questions', questions)
