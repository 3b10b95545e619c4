import type { Draft } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { Ask, Exception } from './ask.ts'
import { choice, nothing } from './ask.ts'
import type { Judges, SayingEvent } from './saying.ts'
import { keyOf, nothingAsked, say, unsaidIn } from './saying.ts'

const noted = (text: string): Draft => ({ subject: 'ada', kind: 'noted', payload: { text } })
const weighed = (grams: number): Draft => ({ subject: 'ada', kind: 'weighed', payload: { grams } })

const WEIGH: Ask = { type: 'number', label: 'Weight', unit: 'g', draft: weighed }
const NOTE: Ask = {
  type: 'form',
  fields: [
    { name: 'text', label: 'Note', type: 'text', value: 'as before' },
    { name: 'count', label: 'How many', type: 'number', unit: '', value: '' },
  ],
  draft: ({ text, number }) => [noted(text('text') ?? ''), weighed(number('count') ?? 1)],
}

const exceptionOf = (id: string, ask: Ask): Exception => ({ id, key: 'x', label: id, ask })
const chosen = (id: string, ask: Ask): SayingEvent => ({
  type: 'chosen',
  exception: exceptionOf(id, ask),
  about: 'ada',
})
const submitted: SayingEvent = { type: 'submitted', severity: undefined }

const EASY: Judges = { unsaidOf: () => undefined, wrongWith: () => null, doubtOf: () => null }
const DOUBT = { code: 'farFromUsual', value: 600, usual: 60, ratio: 10, unit: 'g' } as const
const DOUBTFUL: Judges = {
  ...EASY,
  doubtOf: () => DOUBT,
}

/** Where one event upon another leads, and all that was to be done on the way. */
function said(judges: Judges, ...events: SayingEvent[]) {
  let now = nothingAsked
  const done: unknown[] = []
  for (const event of events) {
    const turn = say(now, event, judges)
    now = turn.now
    if (turn.does) done.push('say' in turn.does ? turn.does.say.map(({ payload }) => payload) : turn.does)
  }
  return { now, done }
}

describe('saying something else', () => {
  it('is done with one touch where nothing has to be asked', () => {
    const { now, done } = said(EASY, chosen('dig', nothing(noted('Digs'))))
    expect([now.ask, now.open, done]).toEqual([null, null, [[{ text: 'Digs' }]]])
  })

  it('leads to the page that asks, and stays where it was', () => {
    const to = { name: 'move' }
    const { now, done } = said(EASY, chosen('move', { type: 'page', to, kind: 'moved' }))
    expect([now.open, done]).toEqual([null, [{ goTo: to }]])
  })

  it('leads on from a choice, and a form comes filled in', () => {
    const ask = choice([{ label: 'Note', then: NOTE }])
    const { now } = said(EASY, chosen('note', ask), { type: 'led', to: NOTE })
    expect([now.open?.id, now.answers, unsaidIn(now)]).toEqual([
      'note',
      { text: 'as before', count: '' },
      null,
    ])
  })

  it('says all of a form as one', () => {
    const answers = { text: 'Digs', count: '3' }
    const { done } = said(EASY, chosen('note', NOTE), { type: 'typed', answers }, submitted)
    expect(done).toEqual([[{ text: 'Digs' }, { grams: 3 }]])
  })

  it('remembers what was typed under whom and what it is about', () => {
    const { now } = said(EASY, chosen('weigh', WEIGH), { type: 'typed', typed: '58' })
    expect([keyOf(now), unsaidIn(now)]).toEqual(['ada weigh Weight', { typed: '58', answers: {} }])
    const again = said(
      { ...EASY, unsaidOf: (key) => (key === keyOf(now) ? { typed: '58' } : undefined) },
      chosen('weigh', WEIGH),
    )
    expect(again.now.typed).toBe('58')
  })

  it('asks where it is in doubt, and what was typed stays until it is settled', () => {
    const events = [chosen('weigh', WEIGH), { type: 'typed', typed: '600' } as const, submitted]
    const asked = said(DOUBTFUL, ...events)
    expect([asked.now.question?.doubt, asked.now.typed, asked.done]).toEqual([DOUBT, '600', []])
    expect(said(DOUBTFUL, ...events, { type: 'insisted' }).done).toEqual([[{ grams: 600, confirmed: true }]])
    expect(said(DOUBTFUL, ...events, { type: 'tookInstead', value: 60 }).done).toEqual([[{ grams: 60 }]])
    expect(said(DOUBTFUL, ...events, { type: 'typesAgain' }, { type: 'insisted' }).done).toEqual([])
  })

  it('says what no server would keep before it asks anything', () => {
    const judges = { ...DOUBTFUL, wrongWith: () => ({ complaint: 'Too much.' }) }
    const { now, done } = said(judges, chosen('weigh', WEIGH), { type: 'typed', typed: '60000' }, submitted)
    expect([now.complaint, now.question, done]).toEqual([{ complaint: 'Too much.' }, null, []])
  })

  it('keeps its day when another exception is chosen, and not for another animal', () => {
    const when = { day: 20_000, minute: 480 }
    const dated = [chosen('weigh', WEIGH), { type: 'dated', when } as const]
    expect(said(EASY, ...dated, { type: 'turnedAway' }, chosen('note', NOTE)).now.when).toEqual(when)
    expect(said(EASY, ...dated, { type: 'leftOff' }).now).toEqual(nothingAsked)
  })

  it('is nothing where nothing is asked', () => {
    expect(said(EASY, submitted, { type: 'insisted' }, { type: 'tookInstead', value: 3 })).toEqual({
      now: nothingAsked,
      done: [],
    })
  })
})
