import type { Draft, FactKind } from '@kobrin/core'
import { kindOf } from '@kobrin/core'
import { checkAgainst } from './checkAgainst.ts'

/** The first thing for which the server would not keep what is to be said, in words; empty where it keeps all. */
export function faultIn(drafts: readonly Draft[]): string {
  const faults = drafts.flatMap(({ kind, payload }) =>
    Object.values(checkAgainst(kindOf(kind as FactKind).payload, payload)).flat(),
  )
  return faults[0]?.message ?? ''
}
