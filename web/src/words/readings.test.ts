import { SheetGroup } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { sayPoint, sayReading, sayReadingBriefly, sayValue } from './readings.ts'

const hot = {
  code: 'reading',
  zone: 'basking',
  what: 'celsius',
  value: 51.25,
  high: true,
  harms: true,
  group: 'lizard',
} as const

describe('a reading in words', () => {
  it.each([
    [sayValue('celsius', 31.456), '31.46 °C'],
    [sayValue('ph', 7.4), 'pH 7.4'],
    [sayValue('uvIndex', 3), 'UV index 3'],
    [sayValue('ammonia', 0.25), '0.25 mg/l'],
    [sayPoint({ zone: 'cool end', what: 'humidity' }), 'cool end, humidity'],
    [sayPoint({ zone: 'water', what: 'ph' }), 'pH'],
    [sayReadingBriefly(hot), '51.25 °C at: basking, so high that it harms'],
    [
      sayReadingBriefly({ ...hot, value: 20, high: false, harms: false }),
      '20 °C at: basking, below what it wants',
    ],
    [
      sayReadingBriefly({ ...hot, what: 'nitrite', value: 1, zone: 'water' }),
      '1 mg/l, so high that it harms',
    ],
  ])('%s', (said, sentence) => {
    expect(said).toBe(sentence)
  })

  it('says what to do first where it harms, and only there', () => {
    expect(sayReading(hot)).toContain('never into cold water')
    expect(sayReading({ ...hot, harms: false })).toBe(sayReadingBriefly({ ...hot, harms: false }))
  })

  it.each(SheetGroup.options)('never has a %s heated or cooled at once', (group) => {
    const first = [true, false].map((high) => sayReading({ ...hot, high, group })).join(' ')
    expect(first).toMatch(/slowly|no more than 2 °C an hour|let it warm/)
  })

  it('advises no heater to those that die of heat', () => {
    for (const group of ['frog', 'salamander'] as const)
      expect(sayReading({ ...hot, high: false, group })).toContain('no heater')
  })
})
