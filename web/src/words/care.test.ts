import type { ZoneTarget } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { lightLines, sayTarget, sayZone, span } from './care.ts'

describe('what a plan asks of the place', () => {
  it('says a range with its unit, and one number where both ends are the same', () => {
    expect([span([12, 14], 'h'), span([12, 12], 'h'), span([3, 6], ''), span(undefined, 'h')]).toEqual([
      '12–14 h',
      '12 h',
      '3–6',
      null,
    ])
  })

  it('says the light line by line, each with the field its source stands under', () => {
    const lines = lightLines({
      winterHours: [9, 10],
      uvb: { share: [0.5, 0.75], distanceMm: [250, 1400] },
    })
    expect(lines).toEqual([
      { field: 'winterHours', term: 'Light in winter', says: '9–10 h' },
      { field: 'uvb', term: 'Tube over the length', says: '50–75 %' },
      { field: 'uvb', term: 'Tube to the back', says: '250–1\u202f400 mm' },
    ])
    expect(lightLines()).toEqual([])
  })

  it('says the climate of a zone as far as it is asked for', () => {
    const warm: ZoneTarget = {
      zone: 'warm spot',
      celsius: [31, 33],
      nightCelsius: [24, 26],
      humidity: [60, 80],
      ceilingCelsius: 35,
    }
    expect(sayTarget(warm)).toBe('31–33 °C, nights 24–26 °C, 60–80 %, never above 35 °C')
    expect(sayTarget({ humidity: [60, 80] })).toBe('60–80 %')
    expect(sayTarget({ neverBelowCelsius: 10 })).toBe('never below 10 °C')
  })

  it('names a zone with what is measured there, unless its name says so, and when it counts', () => {
    expect(
      [
        { zone: 'air', measures: 'air' },
        { zone: 'basking', measures: 'surface' },
        { zone: 'cold', measures: 'air', during: 'winterRest' },
      ].map((zone) => sayZone(zone as ZoneTarget)),
    ).toEqual(['air', 'basking (surface)', 'cold (air), during winter rest'])
  })
})
