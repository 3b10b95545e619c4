import { payloads } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import type { Move, Mover } from './move.ts'
import { missingIn, moveDrafts, wrongWithMove } from './move.ts'

const [OLD, NEW, HELPER] = ['1', '2', '3'].map((n) => `01900000-0000-7000-8000-00000000000${n}`) as [
  string,
  string,
  string,
]

function move(part: Partial<Move> = {}): Move {
  return {
    why: ' Grew out of it ',
    to: NEW,
    helpers: [],
    expected: '1',
    found: '1',
    leaves: 'toClean',
    floorAt: '',
    ...part,
  }
}

function mover(part: Partial<Mover> = {}): Mover {
  return { residentId: 'tamsin', from: OLD, othersStay: false, needsTwo: false, ...part }
}

describe('a move', () => {
  it('says from where, to where, why, and how many were counted out and in', () => {
    expect(moveDrafts(move({ helpers: [HELPER] }), mover())).toEqual([
      {
        residentId: 'tamsin',
        kind: 'moved',
        payload: {
          from: OLD,
          to: NEW,
          why: 'Grew out of it',
          helpers: [HELPER],
          expected: 1,
          found: 1,
          leaves: 'toClean',
        },
      },
    ])
  })

  it('leaves nothing to clean where others live on, whatever was ticked before', () => {
    const [moved, ...more] = moveDrafts(
      move({ leaves: 'toHold', floorAt: 'Larder' }),
      mover({ othersStay: true }),
    )
    expect([moved?.payload, more]).toEqual([expect.not.objectContaining({ leaves: 'toHold' }), []])
    expect(wrongWithMove(move({ leaves: 'toHold' }), mover({ othersStay: true }))).toBe('')
  })

  it('keeps the old floor with its place, as an entry of its own', () => {
    const drafts = moveDrafts(move({ leaves: 'toHold', floorAt: ' Larder, lowest shelf ' }), mover())
    expect(drafts.map(({ kind, payload }) => [kind, payload])).toEqual([
      ['moved', expect.objectContaining({ leaves: 'toHold' })],
      ['floorHeld', { at: 'Larder, lowest shelf', from: OLD }],
    ])
  })

  it('can be of somebody who had no place', () => {
    const [moved] = moveDrafts(move(), mover({ from: undefined }))
    expect(moved?.payload).not.toHaveProperty('from')
  })

  it.each([move(), move({ expected: '120', found: '0' }), move({ leaves: 'toHold', floorAt: 'Larder' })])(
    'is something the record can read: %o',
    (one) => {
      for (const { kind, payload } of moveDrafts(one, mover()))
        expect(payloads[kind as 'moved' | 'floorHeld'].safeParse(payload).error).toBeUndefined()
    },
  )

  it.each([
    [{ to: '' }, {}, /^Choose where to/],
    [{ why: '  ' }, {}, /^Say why/],
    [{}, { needsTwo: true }, /work for two/],
    [{ expected: 'some' }, {}, /^Count out/],
    [{ found: '' }, {}, /^Count in/],
    [{ found: '1.5' }, {}, /^Count in/],
    [{ leaves: 'toHold' as const }, {}, /^Say where the old floor/],
  ])('with %o, %o is asked about', (part, by, asks) => {
    expect(wrongWithMove(move(part), mover(by))).toMatch(asks)
  })

  it('finds out how many are missing, never fewer than none, and none before they are counted in', () => {
    const missing = [
      ['120', '118'],
      ['120', '121'],
      ['120', ''],
      ['120', '0'],
      ['', '3'],
    ].map(([expected = '', found = '']) => missingIn({ expected, found }))
    expect(missing).toEqual([2, 0, 0, 120, 0])
  })
})
