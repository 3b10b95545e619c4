import type { FactKind } from '@kobrin/core'
import { kindOf } from '@kobrin/core'
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
    expected: 1,
    found: 1,
    leaves: 'toClean',
    floorAt: '',
    ...part,
  }
}

function mover(part: Partial<Mover> = {}): Mover {
  return { residentId: 'tamsin', from: OLD, othersStay: false, needsTwo: false, ...part }
}

const newLot = () => 'a new lot'
const draftsOf = (one: Move, by: Mover) => moveDrafts(one, by, newLot)

describe('a move', () => {
  it('says from where, to where, why, and how many were counted out and in', () => {
    expect(draftsOf(move({ helpers: [HELPER] }), mover())).toEqual([
      {
        subject: 'tamsin',
        kind: 'moved',
        payload: {
          from: OLD,
          to: NEW,
          why: 'Grew out of it',
          helpers: [HELPER],
          expected: 1,
          found: 1,
        },
      },
      { subject: OLD, kind: 'vacated', payload: { resident: 'tamsin', leaves: 'toClean' } },
    ])
  })

  it('leaves nothing to clean where others live on, whatever was ticked before', () => {
    const [moved, ...more] = draftsOf(
      move({ leaves: 'toHold', floorAt: 'Larder' }),
      mover({ othersStay: true }),
    )
    expect([moved?.kind, more]).toEqual(['moved', []])
    expect(wrongWithMove(move({ leaves: 'toHold' }), mover({ othersStay: true }))).toEqual({})
  })

  it('keeps the old floor as a lot of its own, and the place it lay in waits for nothing more', () => {
    const drafts = draftsOf(move({ leaves: 'toHold', floorAt: ' Larder, lowest shelf ' }), mover())
    expect(drafts.slice(1)).toEqual([
      {
        subject: 'a new lot',
        kind: 'floorKept',
        payload: { of: 'tamsin', at: 'Larder, lowest shelf', from: OLD },
      },
      { subject: OLD, kind: 'readied', payload: { floor: 'kept' } },
    ])
  })

  it('can be of somebody who had no place', () => {
    const [moved] = draftsOf(move(), mover({ from: undefined }))
    expect(moved?.payload).not.toHaveProperty('from')
  })

  it.each([move(), move({ expected: 120, found: 0 }), move({ leaves: 'toHold', floorAt: 'Larder' })])(
    'is something the record can read: %o',
    (one) => {
      for (const { kind, payload } of draftsOf(one, mover({ residentId: HELPER })))
        expect(kindOf(kind as FactKind).payload.safeParse(payload).error).toBeUndefined()
    },
  )

  it.each([
    [{ to: '' }, {}, 'to'],
    [{ why: '  ' }, {}, 'why'],
    [{}, { needsTwo: true }, 'helpers'],
    [{ expected: null }, {}, 'expected'],
    [{ found: null }, {}, 'found'],
    [{ leaves: 'toHold' as const }, {}, 'at'],
  ])('with %o, %o is asked about at its field', (part, by, field) => {
    expect(Object.keys(wrongWithMove(move(part), mover(by)))).toEqual([field])
  })

  it('finds out how many are missing, never fewer than none, and none before they are counted in', () => {
    const missing = [
      { expected: 120, found: 118 },
      { expected: 120, found: 121 },
      { expected: 120, found: null },
      { expected: 120, found: 0 },
      { expected: null, found: 3 },
    ].map(missingIn)
    expect(missing).toEqual([2, 0, 0, 120, 0])
  })
})
