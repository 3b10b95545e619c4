import { readLibrary } from '@kobrin/server'
import { describe, expect, it } from 'vitest'
import { collection } from './collection.ts'

const sheets = readLibrary()

describe('a collection of any size', () => {
  it.each([1, 37, 650])('of %i residents has a box and a history for each', (residents) => {
    const site = collection({ sheets, residents, days: 4, nowMs: Date.parse('2026-05-12T18:00:00.000Z') })
    expect(site.residents).toHaveLength(residents)
    expect(new Set(site.residents.map(({ name }) => name)).size).toBe(residents)
    const arrived = site.entries.filter(({ kind }) => kind === 'arrived')
    expect(new Set(arrived.map(({ subject }) => subject)).size).toBe(residents)
  })
})
