import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { civil, instantAt } from './civil.ts'
import { dayFromIso, isoDay, weekdayOf } from './day.ts'

const ZONES = [
  'UTC',
  'Europe/London',
  'America/St_Johns',
  'Asia/Kathmandu',
  'Pacific/Auckland',
  'Australia/Lord_Howe',
]

/** The same by the calendar of the platform, without any memory. */
function asked(ms: number, timeZone: string): string {
  const format = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' })
  return format.format(ms)
}

function told(ms: number, zone: string): string {
  const { day, minute } = civil(ms, zone)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${isoDay(day)} ${two(Math.floor(minute / 60))}:${two(minute % 60)}`
}

describe('the civil day and minute', () => {
  it('agree with the calendar of every zone, in whatever order moments are asked about', () => {
    const moment = fc.integer({ min: Date.UTC(1990, 0, 1), max: Date.UTC(2040, 0, 1) })
    fc.assert(
      fc.property(fc.array(fc.tuple(moment, fc.constantFrom(...ZONES)), { maxLength: 8 }), (questions) => {
        for (const [ms, zone] of questions) expect(told(ms, zone)).toBe(asked(ms, zone))
      }),
    )
  })

  it.each([
    ['2026-03-29T00:59:59.999Z', '2026-03-29 00:59'],
    ['2026-03-29T01:00:00.000Z', '2026-03-29 02:00'],
    ['2026-10-25T00:59:00.000Z', '2026-10-25 01:59'],
    ['2026-10-25T01:00:00.000Z', '2026-10-25 01:00'],
    ['2026-06-30T23:30:00.000Z', '2026-07-01 00:30'],
  ])('over a change of the clocks in London: %s is %s', (iso, local) => {
    expect(told(Date.parse(iso), 'Europe/London')).toBe(local)
  })

  it('is refused in a zone that does not exist', () => {
    expect(() => civil(0, 'Tar/Room')).toThrow(RangeError)
  })
})

describe('days', () => {
  it('go to text and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: -100_000, max: 100_000 }), (day) => {
        expect(dayFromIso(isoDay(day))).toBe(day)
      }),
    )
  })

  it('fall on their weekday', () => {
    expect(weekdayOf(dayFromIso('2026-11-24'))).toBe(2)
    expect(weekdayOf(dayFromIso('1969-12-28'))).toBe(7)
  })
})

describe('the instant of a civil day and minute', () => {
  it('shows that day and minute, in every zone', () => {
    const moment = fc.integer({ min: Date.UTC(1990, 0, 1), max: Date.UTC(2040, 0, 1) })
    fc.assert(
      fc.property(moment, fc.constantFrom(...ZONES), (ms, zone) => {
        const shown = civil(ms, zone)
        expect(civil(instantAt(shown, zone), zone)).toEqual(shown)
      }),
    )
  })

  it.each([
    ['2026-03-29', 90, '2026-03-29T01:30:00.000Z'],
    ['2026-10-25', 90, '2026-10-25T00:30:00.000Z'],
    ['2026-06-30', 30, '2026-06-29T23:30:00.000Z'],
  ])(
    'in London, %s at minute %i: what is left out comes an hour later, of two the first',
    (iso, minute, at) => {
      const ms = instantAt({ day: dayFromIso(iso), minute }, 'Europe/London')
      expect(new Date(ms).toISOString()).toBe(at)
    },
  )
})
