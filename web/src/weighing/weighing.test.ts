import type { Draft } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { AtBalance, WeighingEvent } from './weighing.ts'
import { notWeighed, weigh } from './weighing.ts'

const TUB = { label: 'Blue tub', grams: 118 }

/** An animal of about 60 g, that is asked about outside of 55 to 65 g. */
function at(more: Partial<AtBalance> = {}): AtBalance {
  const doubtOf = (said: Draft) => {
    if (said.kind === 'measured' && said.payload.mm > 500)
      return { code: 'farFromUsual', value: said.payload.mm, usual: 300 } as const
    if (said.kind !== 'weighed') return null
    const { grams } = said.payload
    if (grams < 0) return { code: 'taredTwice', value: grams, instead: grams + TUB.grams } as const
    return grams < 55 || grams > 65 ? ({ code: 'farFromUsual', value: grams, usual: 60 } as const) : null
  }
  return {
    subject: 'ada',
    tub: null,
    duty: undefined,
    parts: [],
    isGone: false,
    contextsOf: (grams) => (grams > 65 ? ['fullGut'] : []),
    doubtOf: doubtOf as AtBalance['doubtOf'],
    faultIn: () => '',
    ...more,
  }
}

/** Where one event upon another leads, and all that was to be kept on the way. */
function weighed(known: AtBalance, ...events: WeighingEvent[]) {
  let now = notWeighed
  const kept: unknown[] = []
  for (const event of events) {
    const turn = weigh(now, event, known)
    now = turn.now
    if (turn.does) kept.push(turn.does.map(({ payload }) => payload))
  }
  return { now, kept }
}

const shown = (grams: number | null): WeighingEvent => ({ type: 'typed', part: { shown: grams } })
const submitted: WeighingEvent = { type: 'submitted' }

describe('a weighing', () => {
  it('as expected is kept at once, with all that was typed beside it', () => {
    const known = at({ parts: ['length'], duty: 'weigh' })
    const typed: WeighingEvent = { type: 'typed', part: { mm: { length: 310 }, score: '3' } }
    expect(weighed(known, shown(61), typed, submitted).kept).toEqual([
      [{ duty: 'weigh', grams: 61 }, { part: 'length', mm: 310 }, { score: 3 }],
    ])
  })

  it('asks one question after the other, each about what it stands at', () => {
    const known = at({ parts: ['length'] })
    const typed: WeighingEvent = { type: 'typed', part: { shown: 75, mm: { length: 620 } } }
    const once = weighed(known, typed, submitted)
    expect(once.now.question).toMatchObject({ about: 'weight', doubt: { value: 75 } })
    const twice = weighed(known, typed, submitted, { type: 'settled', as: 'so' })
    expect(twice.now.question).toMatchObject({ about: 'length', doubt: { value: 620 } })
    expect([once.kept, twice.kept]).toEqual([[], []])
    const done = weighed(
      known,
      typed,
      submitted,
      { type: 'settled', as: 'so' },
      { type: 'meant', value: 320 },
    )
    // What was meant is asked about like any other, and so is all of it.
    expect(done.now.question).toMatchObject({ about: 'weight' })
    expect(done.now.form.mm).toEqual({ length: 320 })
  })

  it('forgets what was settled of a number that was typed anew', () => {
    const events = [shown(75), submitted, { type: 'settled', as: 'doubted' } as const, shown(76), submitted]
    expect(weighed(at(), ...events)).toMatchObject({ now: { question: { doubt: { value: 76 } } } })
  })

  it('keeps a question about a part while the weight is typed anew', () => {
    const known = at({ parts: ['length'] })
    const typed: WeighingEvent = { type: 'typed', part: { shown: 61, mm: { length: 620 } } }
    expect(weighed(known, typed, submitted, shown(62)).now.question?.about).toBe('length')
  })

  it('is nothing to settle where nothing was asked', () => {
    expect(weighed(at(), shown(61), { type: 'settled', as: 'so' }).kept).toEqual([])
  })

  it('says only what could explain the number as it stands now', () => {
    const context: WeighingEvent = { type: 'typed', part: { context: ['fullGut'] } }
    const settled: WeighingEvent = { type: 'settled', as: 'so' }
    expect(weighed(at(), shown(75), context, submitted, settled).kept).toEqual([
      [{ grams: 75, confirmed: true, context: ['fullGut'] }],
    ])
    expect(weighed(at(), context, shown(61), submitted).kept).toEqual([[{ grams: 61 }]])
  })

  it('puts what was meant into the tub again, so that it is taken off once', () => {
    const { now, kept } = weighed(at({ tub: TUB }), shown(61), submitted, { type: 'meant', value: 61 })
    expect([now.form.shown, kept]).toEqual([179, [[{ grams: 61, tub: TUB }]]])
  })

  it.each<[string, AtBalance, number | null, RegExp]>([
    ['nothing typed', at(), null, /Type what the balance shows/],
    ['nothing weighed', at(), 0, /more than nothing/],
    ['one that is gone', at({ isGone: true }), 61, /not here/],
    ['what no server would keep', at({ faultIn: () => 'Too much.' }), 61, /Too much/],
  ])('is not kept of %s, and what was typed stays', (_, known, typed, says) => {
    const settled: WeighingEvent = { type: 'settled', as: 'so' }
    const { now, kept } = weighed(known, shown(typed), submitted, settled, submitted)
    expect([now.complaint, now.form.shown, kept]).toEqual([expect.stringMatching(says), typed, []])
  })

  it('is empty once it was kept', () => {
    expect(weighed(at(), shown(61), submitted, { type: 'kept' }).now).toEqual(notWeighed)
  })
})
