import { describe, expect, it } from 'vitest'
import { sayPoint, sayReading, sayValue } from './readings.ts'

const hot = {
  code: 'reading',
  zone: 'basking',
  what: 'celsius',
  value: 51.25,
  high: true,
  harms: true,
  inWater: false,
} as const

describe('a reading in words', () => {
  it.each([
    [sayValue('celsius', 31.456), '31.46 °C'],
    [sayValue('ph', 7.4), 'pH 7.4'],
    [sayValue('uvIndex', 3), 'UV index 3'],
    [sayValue('ammonia', 0.25), '0.25 mg/l'],
    [sayPoint({ zone: 'cool end', what: 'humidity' }), 'cool end, humidity'],
    [sayPoint({ zone: 'water', what: 'ph' }), 'pH'],
    [sayReading(hot), '51.25 °C at: basking, so high that it harms'],
    [sayReading({ ...hot, value: 20, high: false, harms: false }), '20 °C at: basking, below what it wants'],
    [sayReading({ ...hot, what: 'nitrite', value: 1, zone: 'water' }), '1 mg/l, so high that it harms'],
  ])('%s', (said, sentence) => {
    expect(said).toBe(sentence)
  })
})
