import type { DateOrder, Meaning } from '@kobrin/core'
import en from '../words/en/bringIn.ts'
import columns from '../words/en/columns.ts'
import { tablesOf, wordsOf } from '../words/i18n.ts'

export const t = wordsOf('bringIn', en)

export const words = tablesOf(
  'columns',
  columns satisfies { meaning: Record<Meaning, string>; orders: Record<DateOrder, string> },
)
