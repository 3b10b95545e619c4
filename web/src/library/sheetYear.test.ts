import { Sheet } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { sheetYear } from './sheetYear.ts'

const sheetWith = (more: object) =>
  Sheet.parse({
    id: 'testling',
    common: 'Testling',
    latin: 'Testudo testis',
    group: 'tortoise',
    lives: 'individual',
    stages: [
      {
        id: 'adult',
        name: 'Adult',
        duties: [{ id: 'look', does: 'look', cadence: { type: 'every', days: 1 } }],
      },
    ],
    sources: ['common husbandry practice'],
    ...more,
  })
const side = (option: object) => ({
  schools: [
    {
      id: 'winter',
      question: 'A rest?',
      default: 'none',
      options: [
        { id: 'none', name: 'None', reason: 'So.' },
        { id: 'it', name: 'Ten weeks', reason: 'So.', ...option },
      ],
    },
  ],
})

describe('the year of a sheet', () => {
  it('is none where every day is like the other', () => {
    expect(sheetYear(sheetWith({}))).toBeNull()
    expect(sheetYear(sheetWith({ light: { hours: [12, 12] } }))).toBeNull()
  })

  it('has long days in June and short ones in December', () => {
    const { light } = sheetYear(sheetWith({ light: { hours: [12, 14], winterHours: [8, 10] } })) ?? {}
    expect(light).toHaveLength(12)
    expect(Math.max(...(light ?? []))).toBeCloseTo(light?.[5] ?? 0)
    expect(light?.[11]).toBeLessThan(9.2)
    expect(light?.[5]).toBeGreaterThan(12.8)
  })

  it('lays the fast before the rest, and the rest over the new year', () => {
    const holds = [{ hold: 'winterRest', suppresses: ['feed'], days: 70, endsBy: 'event' }]
    const { spells } =
      sheetYear(sheetWith({ holds, ...side({ rest: { fastDays: 28, wake: ['Warm it'] } }) })) ?? {}
    expect(spells).toEqual([
      { kind: 'fast', name: 'Fast', from: 300, to: 328 },
      { kind: 'rest', name: 'Winter rest, Ten weeks', from: 328, to: 365 },
      { kind: 'rest', name: 'Winter rest, Ten weeks', from: 0, to: 33 },
    ])
  })

  it('shows what has its season', () => {
    const of = (from: string, until: string) =>
      sheetYear(sheetWith(side({ season: { from, until } })))?.spells
    expect(of('05-15', '06-04')).toEqual([{ kind: 'season', name: 'Ten weeks', from: 134, to: 155 }])
    expect(of('12-15', '01-10')).toHaveLength(2)
  })
})
