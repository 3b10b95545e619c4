import type { Duty, Entry, Reason } from '@kobrin/core'
import { residentDay } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { dutyOf, entryOn, FEED, planOf, stateOf, teller, TODAY } from '../testing/residents.ts'
import { sayDoubt } from './doubts.ts'
import { sayGrams } from './measures.ts'
import { sayDay, sayMinutes, sayRange } from './numbers.ts'
import { sayReason } from './reasons.ts'

const arrived = entryOn(TODAY - 100, { kind: 'arrived', payload: { enclosure: 'box' } })

function because(entries: Entry[], duty: Duty): string[] {
  const { tasks } = residentDay({ day: TODAY, plan: planOf([duty]), state: stateOf(arrived, ...entries) })
  return tasks
    .flatMap((task) => [...(task.offering?.because ?? []), ...task.because])
    .map((reason) => sayReason(reason, teller))
}

describe('a because', () => {
  it('tells the fact with its day and author, the rule, and where it comes from', () => {
    const meal = entryOn(TODAY - 4, {
      kind: 'fed',
      payload: { duty: 'feed', item: 'roaches', outcome: 'taken' },
    })
    expect(because([meal], FEED)).toEqual([
      '4–6 a meal.',
      'calcium with every meal.',
      'Last 8 May, Lotte.',
      'The plan: every 3 days, give or take 1 day.',
      'Care sheet: gecko, adult.',
    ])
  })

  it('tells why a meal is offered again, and a food is not', () => {
    const refused = [2, 3, 4].map((ago) =>
      entryOn(TODAY - ago, {
        kind: 'fed',
        payload: { duty: 'feed', item: 'crickets', outcome: 'refused', why: 'Hid' },
      }),
    )
    const said = because(refused, { ...FEED, offerAgainAfter: 2 })
    expect(said).toContain('crickets refused 3 times in a row.')
    expect(said).toContain('Refused 10 May, 3 in a row: Hid.')
    expect(said).toContain('After a refusal it is offered again in 2 days.')
  })

  it('tells who changed the plan, why, and until when', () => {
    const source = {
      from: 'resident',
      by: 'priya',
      on: TODAY - 10,
      until: TODAY + 20,
      reason: 'Was fat.',
    } as const
    expect(sayReason({ source }, teller)).toBe(
      'Changed for this resident by Priya, 2 May: Was fat. Until 1 Jun.',
    )
  })

  const reasons: Reason[] = [
    { fact: 'noEvent', event: 'shed' },
    { fact: 'seen', day: null, searches: 0 },
    { fact: 'noSize', part: 'headWidth' },
    { fact: 'headCount', animals: 12, per: 2 },
    { fact: 'headCount', animals: null, per: 1 },
    { fact: 'leftovers', fraction: 0.25, grams: 8 },
    { fact: 'leftToFind', item: 'crickets', at: '2026-05-01T18:00:00.000Z', by: 'x' },
    { rule: 'takeOut', item: 'crickets', hours: 1, bites: true },
    { rule: 'takeOut', item: 'crickets', hours: 0, bites: true },
    { rule: 'takeOut', item: 'mouse', hours: 12, bites: false },
    { fact: 'cleared', inRow: 2, grams: 6 },
    { fact: 'setBy', by: 'priya', day: TODAY, reason: 'Gravid.', until: null },
    { rule: 'weeklyCap', item: 'waxworms', cap: 1, offers: 1 },
    { rule: 'minGap', item: 'fish', days: 5, lastDay: TODAY - 2 },
    { rule: 'window', from: 1020, until: 1260 },
    { rule: 'amount', amount: { by: 'width', part: 'headWidth', factor: 0.9, count: [4, 6] } },
    { rule: 'unseen', days: 4 },
    { rule: 'retainedSkin', days: 5 },
    { fact: 'gone', how: 'died', by: 'priya', day: TODAY - 1 },
    { fact: 'gone', how: 'merged', by: 'priya', day: TODAY - 1 },
    { fact: 'companionDied', companion: 'gaff', by: 'priya', day: TODAY - 1 },
    { rule: 'lookAfterDeath' },
    { fact: 'permit', number: 'L-77', what: 'Keeping', until: TODAY + 9 },
    { rule: 'permit', days: 60 },
    { fact: 'count', expected: 12, found: 10, by: 'priya', day: TODAY - 1 },
    { fact: 'floorKept', day: TODAY - 9, by: 'priya', where: 'Larder' },
    { fact: 'vacated', by: 'priya', day: TODAY - 1 },
    { fact: 'deaths', count: 12, days: 7, of: 90, by: 'priya', day: TODAY - 1 },
    { fact: 'deaths', count: 12, days: 7, of: null, by: 'priya', day: TODAY - 1 },
    { fact: 'reached', trigger: 'grams', needs: 300, has: 312.4 },
    { fact: 'condition', score: 4, by: 'priya', day: TODAY - 1 },
    { rule: 'condition', step: 0.25 },
    { rule: 'heldFloor', days: 42, checkEvery: 7, hides: 'young' },
  ]
  it.each(reasons)('is a sentence: %o', (reason) => {
    const said = sayReason(reason, teller)
    expect(said).toMatch(/^[\p{L}\d].*\.$/u)
    expect(said).not.toMatch(/undefined|NaN|\[object/)
  })
})

describe('numbers and days', () => {
  it.each([
    [TODAY, 'today'],
    [TODAY - 1, 'yesterday'],
    [TODAY + 1, 'tomorrow'],
    [TODAY + 3, 'Friday'],
    [TODAY + 3.5, 'Saturday'],
    [TODAY - 12, '30 Apr'],
    [TODAY - 500, '28 Dec 2024'],
  ])('day %s is %s', (day, said) => {
    expect(sayDay(day, TODAY)).toBe(said)
  })

  it('are said as on a balance and a clock', () => {
    expect([sayGrams(1612.4), sayGrams(42.53), sayMinutes(59.6), sayMinutes(342), sayRange([3, 3])]).toEqual([
      '1\u202f612 g',
      '42.5 g',
      '60 min',
      '5 h 42 min',
      '3',
    ])
  })

  it('a doubt is a question, never an accusation', () => {
    const doubt = { code: 'slippedDecimal', value: 162, instead: 1620, usual: 1651, unit: 'g' } as const
    expect(sayDoubt(doubt, 0)).toBe('162 g? It was about 1\u202f651 g. Perhaps the decimal slipped.')
    expect(sayDoubt({ code: 'farFromUsual', value: 90, usual: 60, ratio: 1.5, unit: 'g' }, 0)).toContain(
      'far more',
    )
    expect(sayDoubt({ code: 'implausible', value: 999, unit: 'g', low: 0.1, high: 7, of: 'sheet' }, 0)).toBe(
      '999 g? At its stage one can be between 0.1 g and 7 g.',
    )
    expect(sayDoubt({ code: 'offScale', what: 'celsius', value: 95, low: -5, high: 60 }, 0)).toBe(
      '95 °C? Readings lie between -5 °C and 60 °C. Perhaps it was °F.',
    )
    expect(sayDoubt({ code: 'shrunk', value: 90, usual: 120, unit: 'mm' }, 0)).toContain('does not shrink')
  })
})

it('a duty made only for this test still has a name', () => {
  expect(because([], dutyOf({ id: 'water', does: 'water' }))[0]).toBe('Never done; asked for since 1 Feb.')
})
