import type { SheetSummary } from '@kobrin/contract'
import { SheetGroup } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { tidy } from '../calculators/tidy.ts'
import { care, sayHousing } from '../words/care.ts'
import { sayFinding } from '../words/fit.ts'
import { findSheets } from './findSheets.ts'

function sheet(id: string, more: Partial<SheetSummary>): SheetSummary {
  return {
    id,
    common: id,
    latin: '',
    otherNames: [],
    group: 'snake',
    version: 1,
    residents: 0,
    differs: 0,
    ...more,
  }
}

const SHEETS = [
  sheet('royal-python', { common: 'Royal python', latin: 'Python regius', otherNames: ['Ball python'] }),
  sheet('crested-gecko', { common: 'Crested gecko', latin: 'Correlophus ciliatus', group: 'lizard' }),
]

describe('finding a care sheet', () => {
  it.each([
    ['', ['royal-python', 'crested-gecko']],
    ['regius', ['royal-python']],
    ['ball PYTHON', ['royal-python']],
    ['lizards', ['crested-gecko']],
    ['gecko snakes', []],
  ])('by "%s"', (query, found) => {
    expect(findSheets(query, SHEETS).map(({ id }) => id)).toEqual(found)
  })

  it('has a word for every group', () => {
    for (const group of SheetGroup.options) expect(care.group[group]).toBeTruthy()
  })
})

const CODES = [
  'short',
  'narrow',
  'low',
  'crowded',
  'tooLarge',
  'cannotStretch',
  'floorShallow',
  'floorUnknown',
  'hangsTooLow',
  'noPerch',
  'unmeasured',
  'noUvb',
  'uvbShort',
  'uvbLong',
  'uvbFar',
  'uvbNear',
  'uvbOld',
  'fewHides',
  'noLock',
  'meshWide',
  'noClimbing',
  'noBowl',
  'noCrew',
  'noThermostat',
  'noHeat',
  'roomTooWarm',
  'defect',
  'replaceDue',
] as const

describe('what does not fit', () => {
  it.each(CODES)('%s is said with what would mend it', (code) => {
    const { what, mend } = sayFinding({
      code,
      severity: 'act',
      needs: 900,
      has: 600,
      part: 'length',
      times: 2,
    })
    for (const said of [what, mend]) {
      expect(said).not.toMatch(/undefined|NaN|\[object/)
      expect(said.length).toBeGreaterThan(5)
    }
  })

  it('says by what the need grows', () => {
    const finding = {
      code: 'short',
      severity: 'act',
      needs: 390,
      has: 300,
      part: 'legSpan',
      times: 3,
    } as const
    expect(sayFinding(finding).what).toBe('Too short: 300 mm, needs 390 mm (3 × its leg span)')
  })

  it('reads the lines of a housing', () => {
    expect(sayHousing('floorDepthMm', [40, 80])).toBe('40–80 mm')
    expect(sayHousing('notLarger', { litres: 5, untilCount: 50 })).toBe('5 l until there are 50')
    expect(sayHousing('freeBelowPerch', { part: 'length', times: [2, 3] })).toBe('2–3 × its length')
    expect(sayHousing('times', { part: 'legSpan', length: 2 })).toBe('length 2 × its leg span')
  })
})

it.each([
  [1234.56, '1\u202f235'],
  [12.345, '12.3'],
  [1.006, '1.01'],
  [0, '0'],
])('%f is measured as %s', (value, said) => {
  expect(tidy(value)).toBe(said)
})
