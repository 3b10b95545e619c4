import type { BroughtIn } from '@kobrin/contract'
import type { ListColumn } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { BroughtListEvent, Remembered } from './broughtList.ts'
import { bring, nothingInHand } from './broughtList.ts'
import type { FromWorker } from './listWorker.ts'

const column = (header: string, meaning: ListColumn['meaning']): ListColumn => ({ header, meaning })
const NAME = column('Name', 'name')
const GRAMS = column('g', 'weight')
const FILE = new File(['Name,g'], 'spring.csv')

const opened: FromWorker = {
  type: 'opened',
  guesses: [NAME, GRAMS].map((one) => ({ column: one, samples: [] })) as never,
  rows: 2,
  oldLetters: false,
  sheets: [''],
  shown: [],
  head: 3,
  top: [
    { line: 1, says: 'Spring' },
    { line: 3, says: 'Name · g' },
  ],
}
const understood: FromWorker = {
  type: 'understood',
  understood: {
    rows: 2,
    leftOut: 0,
    heading: 0,
    newcomers: 2,
    facts: 4,
    questions: [],
    faulty: [],
    faultyCount: 0,
    species: [],
    lately: [],
    cameUnsaid: 0,
  },
}
const taken: BroughtListEvent = { type: 'taken', file: FILE }
const stopped: BroughtListEvent = { type: 'stopped' }

function list(events: BroughtListEvent[], remembered: Remembered = {}) {
  let now = nothingInHand
  const done: string[] = []
  let kept = remembered
  for (const event of events) {
    const turn = bring(now, event, kept)
    now = turn.now
    if (turn.does) done.push(turn.does.type)
    if (turn.does?.type === 'remember') kept = turn.does.remembered
  }
  return { now, done, kept }
}

describe('a list that is brought in', () => {
  it('is opened, read as guessed, and brought in', () => {
    const answer: BroughtIn = { kept: 4, known: 0, refused: [] }
    const events: BroughtListEvent[] = [
      taken,
      opened,
      understood,
      { type: 'submitted' },
      { type: 'sending' },
      { type: 'answered', status: 200, answer },
    ]
    const { now, done, kept } = list(events)
    expect(done).toEqual(['open', 'understand', 'bringIn', 'remember'])
    expect([now.brought, now.progress, now.complaint]).toEqual([answer, null, ''])
    // The next list of the same head is read the same way.
    expect(list([taken, opened], kept).now).toMatchObject({ wasRemembered: true, columns: [NAME, GRAMS] })
  })

  it('is read again after every word about a column or a row', () => {
    const events: BroughtListEvent[] = [
      taken,
      opened,
      { type: 'named', columns: [NAME, column('g', 'ignore')] },
      { type: 'mended', row: 1, part: { cells: { 1: '62' } } },
      { type: 'mended', row: 1, part: { accepted: true, cells: { 0: 'Ada' } } },
    ]
    const { now, done } = list(events)
    expect(done).toEqual(['open', 'understand', 'understand', 'understand', 'understand'])
    expect(now.mended.get(1)).toEqual({ accepted: true, cells: { 0: 'Ada', 1: '62' } })
  })

  it('that is stopped is read no more until it is taken up, with all that was said of it', () => {
    const named: BroughtListEvent = { type: 'named', columns: [NAME, column('g', 'ignore')] }
    const halted = list([taken, opened, understood, named, { type: 'submitted' }, stopped])
    expect(halted.now).toMatchObject({ isStopped: true, progress: null, understood: null })
    expect(bring(halted.now, { type: 'mended', row: 0, part: { leftOut: true } }, {}).does).toBeUndefined()
    const again = list([taken, opened, named, stopped, { type: 'takenUp' }, opened])
    expect(again.now).toMatchObject({ isStopped: false, columns: named.columns })
    expect(again.done).toEqual(['open', 'understand', 'understand', 'stop', 'open', 'understand'])
  })

  it('is read anew below another head, and below the same one when it is taken up', () => {
    const headed: BroughtListEvent = { type: 'headed', line: 1 }
    const mended: BroughtListEvent = { type: 'mended', row: 0, part: { leftOut: true } }
    const { now, done } = list([taken, opened, mended, headed])
    expect(now).toMatchObject({ file: FILE, head: 1, columns: [], mended: new Map(), progress: 0 })
    expect(done.at(-1)).toBe('open')
    const stoppedThere = list([taken, opened, stopped]).now
    expect(bring(stoppedThere, { type: 'takenUp' }, {}).does).toEqual({
      type: 'open',
      file: FILE,
      sheet: 0,
      head: 3,
    })
  })

  it('puts aside whatever was in hand before', () => {
    const mended: BroughtListEvent = { type: 'mended', row: 0, part: { leftOut: true } }
    const { now } = list([taken, opened, understood, mended, taken])
    expect(now).toEqual({ ...nothingInHand, file: FILE, progress: 0 })
  })

  it.each<[string, FromWorker, RegExp]>([
    ['cannot be read', { type: 'unread', fault: 'oldWorkbook' }, /xlsx/],
    ['finds no link', { type: 'noLink' }, /link/i],
    ['is not taken', { type: 'answered', status: 413, answer: { message: 'Too long.' } }, /Too long/],
    ['is not taken, nobody says why', { type: 'answered', status: 502, answer: {} }, /./],
  ])('that %s says so, and stays', (_, event, says) => {
    const { now } = list([taken, opened, event])
    expect([now.complaint, now.progress, now.columns]).toEqual([
      expect.stringMatching(says),
      null,
      [NAME, GRAMS],
    ])
  })
})
