import { payloads } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { MAY, MAY_RECORD, may, mayRecord, ROLES } from './roles.ts'

describe('who may do what', () => {
  it('speaks of every kind of entry', () => {
    expect(Object.keys(MAY_RECORD).sort()).toEqual(
      [...Object.keys(payloads), 'corrected', 'retracted'].sort(),
    )
  })

  it('a curator may do everything, a reader nothing but read', () => {
    for (const action of Object.keys(MAY) as (keyof typeof MAY)[]) {
      expect(may('curator', action)).toBe(true)
      expect(may('reader', action)).toBe(action.startsWith('read'))
    }
    for (const kind of Object.keys(MAY_RECORD) as (keyof typeof MAY_RECORD)[]) {
      expect(mayRecord('curator', kind)).toBe(true)
      expect(mayRecord('reader', kind)).toBe(false)
    }
  })

  it('whoever may record something may write entries at all', () => {
    for (const role of ROLES) {
      const records = Object.values(MAY_RECORD).some((roles) => roles.includes(role))
      expect(may(role, 'writeEntries')).toBe(records)
    }
  })
})
