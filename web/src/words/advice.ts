import type { Verdict } from '@kobrin/core'
import en from './en/advice.ts'
import { tablesOf } from './i18n.ts'

const tables = tablesOf('advice', en)

function has<T extends object>(table: T, code: string): code is string & keyof T {
  return code in table
}

/** What to do next, and what makes the verdict go away; null where the headline says it all. */
export function sayAdvice({ what }: Verdict): { next: string; clears: string } | null {
  const { code } = what
  if (!has(tables.next, code)) return null
  const first = what.code === 'losing' ? what.first : null
  return { next: first ?? tables.next[code], clears: tables.clears[code] }
}
