import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayFromIso, isoDay } from '../../basics/time/day.ts'
import { filler } from './fill.ts'
import { readMany, readSexes } from './manyWritten.ts'
import { readOffered } from './offered.ts'
import { readQuantity } from './quantity.ts'
import type { When } from './when.ts'
import { readWhen, whenIn } from './when.ts'

describe('a number as somebody wrote it', () => {
  it.each([
    ['61.5', 61.5, ''],
    ['61,5', 61.5, ''],
    ['1.612,5', 1612.5, ''],
    ['1 612', 1612, ''],
    ["1'612", 1612, ''],
    ['0,412', 0.412, ''],
    ['1.2 kg', 1.2, 'kg'],
    ['12g', 12, 'g'],
    ['60 grams', 60, 'g'],
    ['-3', -3, ''],
    ['2 lb 3 oz', 35, 'oz'],
    ['2lb3', 35, 'oz'],
    ['4\'6"', 54, 'in'],
    ['4.5"', 4.5, 'in'],
    ['1½ kg', 1.5, 'kg'],
  ] as const)('%s is %d %s, whatever stands in its column', (text, value, unit) => {
    expect([readQuantity(text, '.'), readQuantity(text, ','), readQuantity(text, null)]).toEqual(
      Array.from({ length: 3 }, () => ({ value, unit, about: false })),
    )
  })

  it.each([
    ['~200', 200],
    ['500ish', 500],
    ['approx. 60 g', 60],
    ['c. 60', 60],
    ['60+', 60],
    ['60?', 60],
    ['(~60g)', 60],
    ['50-60', 55],
    ['60 or so', 60],
  ])('%s is about %d', (text, value) => {
    expect(readQuantity(text, '.')).toMatchObject({ value, about: true })
  })

  it('that is one of two is asked about, unless its column tells', () => {
    expect(readQuantity('1,612', null)).toBe('unsure')
    expect(readQuantity('1,612', '.')).toMatchObject({ value: 1612 })
    expect(readQuantity('1,612', ',')).toMatchObject({ value: 1.612 })
  })

  it.each(['heavy', '', '1.2.3', '12 g 5', '62 12/11', '1,23,456'])('"%s" is none', (text) => {
    expect(readQuantity(text, '.')).toBeNull()
  })

  it('is the same with a comma and with a point before two decimals', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 99_999, noNaN: true }), (number) => {
        const text = number.toFixed(2)
        for (const written of [text, text.replace('.', ',')])
          expect(readQuantity(written, null)).toMatchObject({ value: Number(text) })
      }),
    )
  })
})

const TODAY = dayFromIso('2026-12-02')
const context = { order: null, today: TODAY } as const
const said = (when: When | 'unsure' | null) =>
  when === null || when === 'unsure' ? when : [isoDay(when.day), when.to]

describe('a day as somebody wrote it', () => {
  it.each([
    ['2026-05-03', '2026-05-03', 'day'],
    ['13/04/2026', '2026-04-13', 'day'],
    ['3 May 2026', '2026-05-03', 'day'],
    ['12. August 2025', '2025-08-12', 'day'],
    ['Tue 3 May 2026', '2026-05-03', 'day'],
    ['28/11', '2026-11-28', 'day'],
    ['28.11.', '2026-11-28', 'day'],
    ['28/12', '2025-12-28', 'day'],
    ['12th Nov', '2026-11-12', 'day'],
    ['Sat', '2026-11-28', 'day'],
    ['yesterday', '2026-12-01', 'day'],
    ['45992', '2025-12-01', 'day'],
    ['May 2019', '2019-05-15', 'month'],
    ['05/2019', '2019-05-15', 'month'],
    ['spring 2021', '2021-04-15', 'season'],
    ['winter 2020/21', '2021-01-15', 'season'],
    ['2019', '2019-07-01', 'year'],
    ['~2018?', '2018-07-01', 'year'],
    ['3 yrs', '2023-12-02', 'year'],
  ])('%s is %s, to the %s', (text, day, to) => {
    expect(said(readWhen(text, context))).toEqual([day, to])
  })

  it('lies not ahead in a year that has only begun', () => {
    const january = dayFromIso('2026-01-20')
    expect(said(readWhen('2026', { order: null, today: january }))).toEqual(['2026-01-09', 'year'])
  })

  it('of a season is of that half of the world', () => {
    expect(said(readWhen('spring 2021', { ...context, hemisphere: 'south' }))).toEqual([
      '2021-10-15',
      'season',
    ])
  })

  it('that can be read both ways is asked about', () => {
    expect(readWhen('03/04/2026', context)).toBe('unsure')
    expect(said(readWhen('03/04/2026', { ...context, order: 'dmy' }))).toEqual(['2026-04-03', 'day'])
    expect(said(readWhen('03/04/2026', { ...context, order: 'mdy' }))).toEqual(['2026-03-04', 'day'])
  })

  it.each(['31/02/2026', '13/13/2026', 'tomorrow', 'unknown', '2026-13-01'])('"%s" is none', (text) => {
    expect(readWhen(text, context)).toBeNull()
  })

  it.each([
    ['62g 28/11', '2026-11-28', '62g'],
    ['fed ✓ 28/11', '2026-11-28', 'fed ✓'],
    ['refused Sat', '2026-11-28', 'refused'],
    ['13/11/2025: 62', '2025-11-13', '62'],
    ['3 crickets (yesterday)', '2026-12-01', '3 crickets'],
  ])('stands in "%s" beside something else', (text, day, rest) => {
    const when = whenIn(text, context)
    expect(when !== 'unsure' && when && [isoDay(when.day), when.rest]).toEqual([day, rest])
  })

  it.each(['62.5 g', '2 lb 3 oz', '1.2.0', '500-600'])('stands not in "%s"', (text) => {
    expect(whenIn(text, { ...context, order: 'dmy' })).toBeNull()
  })

  it('says the time that stands beside it', () => {
    expect(readWhen('2026-05-03 08:15', context)).toMatchObject({ minute: 495 })
    expect(readWhen('3 May 2026 8pm', context)).toMatchObject({ minute: 1200 })
  })
})

describe('how many there are, as people write it', () => {
  it.each<[string, number | null, boolean]>([
    ['12', 12, false],
    ['~200', 200, true],
    ['500ish', 500, true],
    ['queen + ~50', 51, true],
    ['q+50w', 51, false],
    ['queen only', 1, false],
    ['12 adults + 30 nymphs', 42, false],
    ['1.2.3', 6, false],
    ['1 tub', null, true],
    ['2 cultures', null, true],
    ['lots', null, true],
    ['?', null, true],
  ])('%s', (text, count, about) => {
    expect(readMany(text, '.')).toEqual({ count, about })
  })

  it.each(['abc', '3.5', ''])('"%s" is no number of animals', (text) => {
    expect(readMany(text, '.')).toBeNull()
  })
})

describe('sexes, as people write them', () => {
  it.each<[string, number, number, number, boolean]>([
    ['m', 1, 0, 0, false],
    ['♀', 0, 1, 0, false],
    ['f?', 0, 1, 0, true],
    ['prob. female', 0, 1, 0, true],
    ['1.0', 1, 0, 0, false],
    ['0.0.1', 0, 0, 1, false],
    ['1.2.0', 1, 2, 0, false],
    ['2m 1f', 2, 1, 0, false],
    ['pair', 1, 1, 0, false],
    ['?', 0, 0, 1, false],
  ])('%s', (text, male, female, unknown, unsure) => {
    expect(readSexes(text)).toEqual({ male, female, unknown, unsure })
  })

  it.each(['both', '1', '0.0'])('"%s" is none', (text) => {
    expect(readSexes(text)).toBeNull()
  })
})

describe('what was offered, as people write it', () => {
  it.each([
    ['5 crickets', { item: 'crickets', count: 5 }],
    ['fed ✓', { outcome: 'taken' }],
    ['mouse x2 - refused', { item: 'mouse', count: 2, outcome: 'refused' }],
    ['Refused mouse', { item: 'mouse', outcome: 'refused' }],
    ['20g greens', { item: 'greens', grams: 20 }],
    ['rat weaner', { item: 'rat weaner' }],
    ['no', { outcome: 'refused' }],
  ])('%s', (text, offered) => {
    expect(readOffered(text)).toEqual(offered)
  })
})

it('what is marked as above is filled down, and what is empty only where its column is read so', () => {
  const fill = filler([
    { header: 'Rack', meaning: 'place', down: true },
    { header: 'Name', meaning: 'name' },
  ])
  expect(
    [
      ['R1', 'Gaff'],
      ['"', 'Orlop'],
      ['', ''],
      ['', 'Bilge'],
      ['ditto', ''],
    ].map(fill),
  ).toEqual([
    ['R1', 'Gaff'],
    ['R1', 'Orlop'],
    ['', ''],
    ['R1', 'Bilge'],
    ['R1', ''],
  ])
})
