import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import type { GroupName } from './rowGroups.ts'
import { inGroups, useRowGroups } from './rowGroups.ts'

const row = (bay: string, species: string) => ({ bay, species, stage: 'adult' })
const ROWS = [row('A', 'gecko'), row('B', 'gecko'), row('A', 'skink'), row('B', 'skink')]

function laidOut(by: GroupName | null, { onPaper = false, many = 1 } = {}) {
  const rows = Array.from({ length: many }, () => ROWS).flat()
  const inSight = { scrollable: true }
  return useRowGroups(shallowRef(rows), { groupBy: shallowRef(by), printing: shallowRef(onPaper), inSight })
}

describe('a list in groups', () => {
  it('has the rows of each group together, in the order they had', () => {
    expect(inGroups(ROWS, 'bay').map(({ bay, species }) => `${bay} ${species}`)).toEqual([
      'A gecko',
      'A skink',
      'B gecko',
      'B skink',
    ])
    expect(inGroups(ROWS, null)).toBe(ROWS)
  })

  it('says how many are in each', () => {
    const { sizeOf } = laidOut('species', { many: 3 })
    expect([sizeOf('gecko'), sizeOf('skink'), sizeOf('snake')]).toEqual([6, 6, 0])
  })

  it('comes in pages where it is long, and whole on paper', () => {
    expect(laidOut('bay').layout.value).toMatchObject({ groupRowsBy: 'bay', paginator: false })
    expect(laidOut('bay', { many: 60 }).layout.value).toMatchObject({ paginator: true, rows: 200 })
    expect(laidOut('bay', { many: 60, onPaper: true }).layout.value).toMatchObject({
      paginator: false,
      rows: 240,
    })
    expect([laidOut(null).layout.value, laidOut(null, { onPaper: true }).layout.value]).toEqual([
      { scrollable: true },
      {},
    ])
  })
})
