import { describe, expect, it } from 'vitest'
import { ownWeighing } from './ownWeighing.ts'

const SHEET = { r: 0.03, q: 1e-7 }

/** Weekly weighings that scatter by about so much around a rate that turns every so many weeks. */
function weekly(count: number, { scatter, turns = Infinity }: { scatter: number; turns?: number }) {
  let y = 4
  return Array.from({ length: count }, (_, week) => {
    y += Math.floor(week / turns) % 2 === 0 ? 0.03 : -0.03
    return { day: week * 7, y: y + (week % 2 === 0 ? scatter : -scatter) }
  })
}

describe('how the weighings of one animal scatter', () => {
  it('is what the sheet says where there are none, and close to it where there are few', () => {
    expect(ownWeighing([], SHEET)).toEqual(SHEET)
    const few = ownWeighing([weekly(5, { scatter: 0.001 })], SHEET)
    expect(few.r).toBeGreaterThan(SHEET.r / 2)
    expect(few.q / few.r ** 2).toBeCloseTo(SHEET.q / SHEET.r ** 2, 9)
  })

  it('comes from its own readings where there are many', () => {
    const calm = ownWeighing([weekly(60, { scatter: 0.005 })], SHEET)
    const wild = ownWeighing([weekly(60, { scatter: 0.09 })], SHEET)
    expect(calm.r).toBeLessThan(SHEET.r / 2)
    expect(wild.r).toBeGreaterThan(SHEET.r * 2)
  })

  it('follows one whose growth turns more often than the sheet says, from twelve readings on', () => {
    const turning = weekly(60, { scatter: 0.005, turns: 6 })
    const ratioOf = (count: number) => {
      const { r, q } = ownWeighing([turning.slice(0, count)], SHEET)
      return q / r ** 2 / (SHEET.q / SHEET.r ** 2)
    }
    expect(ratioOf(60)).toBeGreaterThan(5)
    expect(ratioOf(11)).toBeCloseTo(1, 9)
  })

  it('is judged over all runs together', () => {
    const [first, second] = [weekly(30, { scatter: 0.05 }), weekly(30, { scatter: 0.05 })]
    const together = ownWeighing([first, second], SHEET)
    expect(together.r).toBeGreaterThan(ownWeighing([first], SHEET).r)
  })
})
