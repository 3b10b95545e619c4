import { BodyScale, SheetGroup } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { scaleOf } from './scales.ts'

describe('a scale of condition', () => {
  it.each(BodyScale.options)('%s tells five conditions apart', (scale) => {
    expect(new Set(scaleOf({ scale })?.says).size).toBe(5)
  })

  it('goes by the body, and by the group where the sheet says nothing', () => {
    const lizard = scaleOf({ group: 'lizard' })
    expect(lizard?.says.join(' ')).not.toMatch(/tail/i)
    expect(scaleOf({ group: 'lizard', scale: 'fatTail' })?.says.join(' ')).toMatch(
      /tail wider than the neck/i,
    )
    expect(scaleOf({ group: 'salamander' })).not.toEqual(lizard)
  })

  it.each(['snake', 'lizard', 'tortoise', 'turtle', 'frog', 'salamander', 'tarantula', 'spider'] as const)(
    'there is one for any %s',
    (group) => expect(scaleOf({ group })).not.toBeNull(),
  )

  it('is never of a colony', () => {
    for (const group of SheetGroup.options) expect(scaleOf({ group, lives: 'colony' })).toBeNull()
    expect(scaleOf({ group: 'isopod' })).toBeNull()
  })
})
