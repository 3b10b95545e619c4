import { describe, expect, it } from 'vitest'
import { floorRuleOf } from './floorRule.ts'

const heldFloor = { days: 180, checkEvery: 14, hides: 'seed-like eggs' }

describe('how long old floor is kept', () => {
  it('is never less than the longest its eggs take, and a quarter more', () => {
    const eggs = (from: number, to: number) => ({
      bears: 'eggs' as const,
      stageDays: { egg: [from, to] as [number, number] },
    })
    expect(floorRuleOf({ heldFloor, breeding: eggs(120, 200) })).toMatchObject({ days: 250, eggDays: 200 })
    expect(floorRuleOf({ heldFloor, breeding: eggs(60, 90) })).toMatchObject({ days: 180, eggDays: 90 })
  })

  it('goes by the coolest incubation that is written down', () => {
    const incubation = [
      { celsius: 31, days: [8, 10] as [number, number] },
      { celsius: 24, days: [20, 30] as [number, number] },
    ]
    expect(
      floorRuleOf({ heldFloor: { ...heldFloor, days: 14 }, breeding: { bears: 'eggs', incubation } }).days,
    ).toBe(38)
  })

  it('is what the sheet says of those that bear young, and six weeks where it says nothing', () => {
    expect(floorRuleOf({ heldFloor, breeding: { bears: 'young' } })).toEqual(heldFloor)
    expect(floorRuleOf({}).days).toBe(42)
  })
})
