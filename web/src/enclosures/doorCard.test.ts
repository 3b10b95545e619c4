import type { Hold } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { dutyOf, FEED, planOf, sheetOf, TODAY } from '../testing/residents.ts'
import { doorCardOf } from './doorCard.ts'

const hold = { hold: 'sealedIn', since: TODAY - 9 } as Hold
const quarantine = { since: TODAY - 10, until: TODAY + 20, days: 30 }
const calm = { plan: planOf(), sheet: sheetOf(), quarantine: null, holds: [], today: TODAY }

describe('a card on a door', () => {
  it('is short where there is nothing to be careful of', () => {
    expect(doorCardOf(calm)).toEqual({ stops: [], limits: null, cautions: [], never: [], urgent: [] })
  })

  it('says first what stops a hand', () => {
    const sheet = { ...sheetOf(), competence: 'scorpions' }
    const plan = planOf([FEED, dutyOf({ id: 'fullClean', does: 'clean', label: 'Floor out', people: 2 })])
    expect(doorCardOf({ ...calm, sheet, plan, quarantine, holds: [hold] }).stops).toEqual([
      'Quarantine until 1 Jun at least: last on the round, own gloves and tools',
      'Only for somebody cleared for scorpions',
      'Two people: Floor out',
      'Sealed in since 3 May: leave it in peace',
    ])
    expect(doorCardOf({ ...calm, plan, sheet: { ...sheet, people: 2 } }).stops[1]).toBe(
      'Never alone: two people',
    )
  })

  it('says what harms now, of its rest while it rests', () => {
    const targets = [
      { zone: 'air', measures: 'air' as const, ceilingCelsius: 33, neverBelowCelsius: 10 },
      { zone: 'basking', measures: 'surface' as const, ceilingCelsius: 42 },
      {
        zone: 'rest',
        measures: 'air' as const,
        during: 'winterRest' as const,
        ceilingCelsius: 10,
        neverBelowCelsius: 2,
      },
    ]
    const plan = { ...planOf(), targets }
    expect(doorCardOf({ ...calm, plan }).limits).toBe('Never below 10 °C or above 33 °C')
    const resting = { hold: 'winterRest', since: TODAY } as Hold
    expect(doorCardOf({ ...calm, plan, holds: [resting] }).limits).toBe('Never below 2 °C or above 10 °C')
  })

  it('names the urgent signs of its stage, and what to do first', () => {
    const signs = [
      { sign: 'Gasping', severity: 'urgent' as const, first: 'Call the vet now.' },
      { sign: 'Thin', severity: 'act' as const },
      { sign: 'Dying young', severity: 'urgent' as const, first: 'Vet.', stages: ['young'] },
    ]
    expect(doorCardOf({ ...calm, sheet: { ...sheetOf(), signs } }).urgent).toEqual([
      { sign: 'Gasping', first: 'Call the vet now.' },
    ])
  })
})
