import type { Duty, Entry, Hold, Verdict } from '@kobrin/core'
import { residentDay } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { dutyOf, entryOn, FEED, planOf, stateOf, taskOf, teller, TODAY } from '../testing/residents.ts'
import { sayCell, sayOffering, sayUndone, sayVerdict } from './cell.ts'

function cell(entries: Entry[], duties?: Duty[], minute?: number) {
  const day = { day: TODAY, plan: planOf(duties), state: stateOf(...entries) }
  return sayCell(residentDay({ ...day, ...(minute !== undefined && { minute }) }), teller)
}

const arrived = entryOn(TODAY - 400, { kind: 'arrived', payload: { enclosure: 'box' } })
const meal = (day: number, outcome: 'taken' | 'refused') =>
  entryOn(day, { kind: 'fed', payload: { duty: 'feed', item: 'crickets', outcome } })

describe('the one sentence of a cell', () => {
  it('says what it eats today', () => {
    expect(cell([arrived, meal(TODAY - 3, 'taken')]).text).toBe('Eats today: 4–6 roaches S, calcium')
  })

  it('says a hold with its day and when it should be over', () => {
    const said = cell([arrived, entryOn(TODAY - 3, { kind: 'ecdysis', payload: { stage: 'inBlue' } })])
    expect(said).toEqual({ text: 'In blue, day 4. Should be over by Sunday.', tone: 'held' })
  })

  it('says what was left to find and comes out, before it says that it is held', () => {
    const foods = [{ item: 'crickets', sizes: [], outAfterHours: 12, bites: true }]
    const left = entryOn(TODAY, { kind: 'fed', payload: { duty: 'feed', item: 'crickets', outcome: 'left' } })
    const premolt = entryOn(TODAY - 3, { kind: 'ecdysis', payload: { stage: 'premolt' } })
    const said = cell([arrived, premolt, left], [dutyOf({ ...FEED, foods })])
    expect(said).toEqual({ text: 'Take out what is left: crickets', tone: 'plain' })
  })

  it('says the look after a death beside it before the work of the week', () => {
    const died = entryOn(TODAY, {
      kind: 'companionDied',
      payload: { companion: '00000000-0000-7000-8000-000000000009' },
    })
    const lock = dutyOf({
      id: 'lock',
      does: 'check',
      label: 'Lock',
      cadence: { type: 'every', days: 1, tolerance: 0 },
    })
    expect(cell([arrived, died], [lock]).text).toBe('Look after the one beside it died')
  })

  it('says of somebody who is gone only that', () => {
    const died = entryOn(TODAY - 1, { kind: 'died', payload: { why: 'Found in the morning' } })
    const said = cell([arrived, meal(TODAY - 30, 'taken'), died])
    expect(said).toEqual({ text: 'Died yesterday', tone: 'done' })
  })

  it('says that a hold overstays', () => {
    const said = cell([arrived, entryOn(TODAY - 20, { kind: 'ecdysis', payload: { stage: 'inBlue' } })])
    expect(said.text).toBe('In blue for 21 days: should be over. Look.')
  })

  it('says refusals that nothing explains', () => {
    const refusals = [9, 6, 3].map((ago) => meal(TODAY - ago, 'refused'))
    expect(cell([arrived, meal(TODAY - 12, 'taken'), ...refusals]).text).toBe(
      'Refused 3 times, not explained',
    )
  })

  it('puts what must be acted on before all else', () => {
    const grave = entryOn(TODAY - 1, {
      kind: 'observed',
      payload: { text: 'Bubbles at the nose', severity: 'urgent' },
    })
    expect(cell([arrived, grave])).toEqual({ text: 'Bubbles at the nose', tone: 'late' })
  })

  it('says what waits for a later hour, what was done, and what comes next', () => {
    const evening = { ...FEED, window: { from: 1080, until: 1300 } }
    expect(cell([arrived, meal(TODAY - 3, 'taken')], [evening], 600).text).toBe('Feed after 18:00')
    expect(cell([arrived, meal(TODAY, 'taken')], [FEED]).text).toBe('Fed, taken')
    expect(cell([arrived, meal(TODAY - 1, 'taken')], [FEED]).text).toBe('Eats Thursday')
    expect(
      cell([arrived], [dutyOf({ id: 'weigh', does: 'weigh', cadence: { type: 'once', day: TODAY + 9 } })])
        .text,
    ).toBe('Nothing due')
  })

  it('says what is worth knowing at a desk', () => {
    const says = (what: Verdict['what']) => sayVerdict({ severity: 'info', what, because: [] }, teller)
    expect([
      says({ code: 'otherPrey', item: 'mice', from: 'S', to: 'M', on: TODAY }),
      says({ code: 'outgrows', on: null, from: TODAY + 300, to: null }),
      says({ code: 'grewAtMolt', part: 'carapaceLength', share: 0.15 }),
      says({ code: 'longerIntervals', what: 'molt', share: 0.2 }),
      says({ code: 'firstWeight', grams: 61 }),
    ]).toEqual([
      'mice: M from now on, not S',
      expect.stringMatching(/^Will outgrow its box, not before /),
      'Grew at the last skin: carapace +15 %',
      'Its intervals grow longer: 20 % each time',
      'First weight here: 61 g',
    ])
  })

  it('says two who fed the same animal by name', () => {
    const both = ['lotte', 'priya'].map((author) =>
      entryOn(
        TODAY,
        { kind: 'fed', payload: { duty: 'feed', item: 'crickets', outcome: 'taken' } },
        { author },
      ),
    )
    expect(cell([arrived, ...both]).text).toBe('Fed twice today: Lotte and Priya')
  })
})

describe('an offering', () => {
  const because = taskOf({ status: 'due' }).because

  it.each([
    [
      { item: 'rat', size: 'weaned', count: [1, 1], grams: [80.4, 112.6], supplements: [] },
      '1 weaned rat, about 80–113 g',
    ],
    [
      { item: 'fruit mix', grams: [5, 5], supplements: ['calcium', 'vitamins'] },
      'fruit mix, 5 g, calcium and vitamins',
    ],
    [{ item: 'crickets', size: 'M', count: [4, 6], supplements: [] }, '4–6 crickets M'],
  ] as const)('%o', ({ supplements, ...offering }, said) => {
    expect(sayOffering({ ...offering, supplements: [...supplements], because })).toBe(said)
  })
})

it('says what a hold leaves undone by what each duty does, not only by its kind', () => {
  const rest = { hold: 'winterRest', suppresses: ['feed', 'clean'] } as unknown as Hold
  const soak = dutyOf({ id: 'soak', does: 'water', label: 'Lukewarm soak', effects: ['bathing'] })
  const duties = [FEED, { ...FEED, id: 'again' }, dutyOf({ id: 'water', does: 'water' }), soak]
  expect(sayUndone(rest, [...duties, dutyOf({ id: 'weigh', does: 'weigh' })])).toBe('feed, lukewarm soak')
  expect(sayUndone({ ...rest, hold: 'vetOrder', suppresses: [] }, duties)).toBe('')
})
