import type { Finding } from '@kobrin/core'
import { Build } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { sectionOf } from './section.ts'

const BOX = { widthMm: 400, depthMm: 900, heightMm: 500 }
const build = (more: object = {}) =>
  Build.parse({
    layers: [
      { material: 'coir', mm: 60 },
      { material: 'leaf litter', mm: 20 },
    ],
    furniture: [{ what: 'hide' }, { what: 'bowl' }, { what: 'perch', freeBelowMm: 200 }],
    lamps: [{ what: 'uvb', lengthMm: 450, distanceMm: 300 }],
    ...more,
  })
const drawn = (findings: Finding[] = [], more: object = {}, sizes = {}) =>
  sectionOf(BOX, build(more), { sizes }, findings)
const wants = (code: Finding['code'], needs?: number): Finding => ({
  code,
  severity: 'act',
  ...(needs !== undefined && { needs }),
})

describe('an enclosure in section', () => {
  it('lies along its longer side, its layers upon each other', () => {
    const { length, height, layers, floor } = drawn()
    expect([length, height]).toEqual([900, 500])
    expect(layers.map(({ y, height: mm }) => [y, mm])).toEqual([
      [0, 60],
      [60, 20],
    ])
    expect(floor).toEqual({ shallow: 80, deep: 80, deepAt: 'right' })
    expect(drawn([], { slopeMm: 40, dampEnd: 'left' }).floor).toEqual({
      shallow: 80,
      deep: 120,
      deepAt: 'left',
    })
  })

  it('has furniture on the floor, the tube under the lid as long as it is, and nothing outside of the walls', () => {
    const { pieces } = drawn()
    expect(pieces.map(({ what }) => what)).toEqual(['hide', 'bowl', 'uvb'])
    expect(pieces[2]?.width).toBe(450)
    for (const { x, y, width, height } of pieces) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x + width).toBeLessThanOrEqual(900)
      expect(y + height).toBeLessThanOrEqual(500)
    }
  })

  it('marks what does not fit where it is', () => {
    const short = drawn([wants('short', 1200), wants('low', 600), wants('floorShallow', 150)])
    expect(short.needed).toEqual({ length: 1200, height: 600 })
    expect(short.floorNeeded).toBe(150)
    expect(drawn().needed).toBeNull()
    expect(drawn([wants('uvbShort', 600)]).pieces.map(({ wrong }) => wrong)).toEqual([false, false, true])
    expect(drawn([wants('hangsTooLow', 260)]).free).toEqual([{ x: 540, from: 80, to: 280, wrong: true }])
    expect(drawn([wants('fallsFar', 200)]).free.at(-1)).toMatchObject({ from: 80, to: 500, wrong: true })
    expect(drawn([], { heaters: [{ what: 'Heat panel', thermostat: false }] }).pieces.at(-1)?.wrong).toBe(
      true,
    )
  })

  it('shows the animal as long as it was measured, and not one nobody measured', () => {
    expect(drawn().animal).toBeNull()
    expect(drawn([wants('cannotStretch', 1100)], {}, { length: 1100 })).toMatchObject({
      animal: { length: 1100, wrong: true },
      needed: { length: 1100 },
    })
    expect(drawn([], {}, { legSpan: 140 }).animal).toEqual({ length: 140, wrong: false })
  })
})
