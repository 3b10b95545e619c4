import { describe, expect, it } from 'vitest'
import { climateScale } from './climateScale.ts'

const AIR = { zone: 'air', measures: 'air', celsius: [22, 26], nightCelsius: [18, 20] } as const
const zone = (more: object) => ({
  ...AIR,
  celsius: [22, 26] as [number, number],
  nightCelsius: [18, 20] as [number, number],
  ...more,
})

describe('the scale a climate is drawn on', () => {
  it('reaches beyond everything that is said, in steps of five degrees', () => {
    const scale = climateScale([zone({ ceilingCelsius: 33, neverBelowCelsius: 10 })])
    expect([scale?.lowest, scale?.highest]).toEqual([5, 35])
    expect(scale?.ticks.map(({ celsius }) => celsius)).toEqual([5, 10, 15, 20, 25, 30, 35])
    expect(scale?.ticks.at(-1)?.at).toBe(1)
  })

  it('puts day, night and what harms where they lie', () => {
    const [row] = climateScale([zone({ ceilingCelsius: 33, neverBelowCelsius: 10 })])?.rows ?? []
    expect(row?.harmsBelow).toEqual({ from: 0, to: 5 / 30 })
    expect(row?.harmsAbove).toEqual({ from: 28 / 30, to: 1 })
    expect(row?.day).toEqual({ from: 17 / 30, to: 21 / 30 })
    expect(row?.night).toEqual({ from: 13 / 30, to: 15 / 30 })
  })

  it('has one scale for all zones, and no row for one that only speaks of humidity', () => {
    const hide = { zone: 'damp hide', humidity: [70, 90] as [number, number] }
    const scale = climateScale([zone({}), zone({ zone: 'basking', celsius: [38, 42] }), hide])
    expect(scale?.rows.map(({ target }) => target.zone)).toEqual(['air', 'basking'])
    expect(scale?.highest).toBe(45)
    expect(climateScale([hide])).toBeNull()
  })
})
