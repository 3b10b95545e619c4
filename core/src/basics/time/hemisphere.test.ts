import { describe, expect, it } from 'vitest'
import { usualHemisphere } from './hemisphere.ts'

describe('the hemisphere of a house', () => {
  it.each([
    ['Europe/Amsterdam', 'north'],
    ['America/New_York', 'north'],
    ['Australia/Sydney', 'south'],
    ['Pacific/Auckland', 'south'],
    ['America/Santiago', 'south'],
    ['UTC', 'north'],
  ])('%s is likely in the %s', (zone, hemisphere) => {
    expect(usualHemisphere(zone, 2026)).toBe(hemisphere)
  })

  it('is not told by clocks that never change', () => {
    expect(usualHemisphere('Africa/Johannesburg', 2026)).toBe('north')
  })
})
