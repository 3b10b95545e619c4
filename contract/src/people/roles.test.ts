import type { EntryKind } from '@kobrin/core'
import { FACT_KINDS, mayRecord, ROLES } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { MAY, may } from './roles.ts'

const KINDS: readonly EntryKind[] = [...FACT_KINDS, 'corrected', 'retracted']

describe('who may do what', () => {
  it('a curator may do everything, a reader nothing but read', () => {
    for (const action of Object.keys(MAY) as (keyof typeof MAY)[]) {
      expect(may('curator', action)).toBe(true)
      expect(may('reader', action)).toBe(action.startsWith('read'))
    }
    for (const kind of KINDS) {
      expect(mayRecord('curator', kind)).toBe(true)
      expect(mayRecord('reader', kind)).toBe(false)
    }
  })

  it('whoever may record something may write entries at all', () => {
    for (const role of ROLES)
      expect(may(role, 'writeEntries')).toBe(KINDS.some((kind) => mayRecord(role, kind)))
  })
})
