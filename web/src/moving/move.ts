import type { Draft } from '@kobrin/core'
import { readCount } from '../exceptions/readAnswers.ts'

/** A move as it stands in the form, numbers as typed. */
export interface Move {
  why: string
  to: string
  helpers: string[]
  expected: string
  found: string
  /** What becomes of the place it leaves. */
  leaves: 'toClean' | 'toHold' | 'nothing'
  floorAt: string
}

/** What has to be known besides: who moves from where, and whether anybody stays behind. */
export interface Mover {
  residentId: string
  from: string | undefined
  othersStay: boolean
  needsTwo: boolean
}

/** How many were counted out and not found in the new place. */
export function missingIn({ expected, found }: Pick<Move, 'expected' | 'found'>): number {
  return Math.max(0, (readCount(expected) ?? 0) - (readCount(found) ?? Infinity))
}

/** What a move lacks, in one sentence; empty when it can be kept. */
export function wrongWithMove(move: Move, { needsTwo, othersStay }: Mover): string {
  if (move.to === '') return 'Choose where to first: nothing moves in without a place ready.'
  if (move.why.trim() === '') return 'Say why, in a word or two.'
  if (needsTwo && move.helpers.length === 0) return 'This is work for two: say who helps.'
  if (readCount(move.expected) === null) return 'Count out: a whole number of animals.'
  if (readCount(move.found) === null) return 'Count in: how many are in the new place?'
  if (move.leaves === 'toHold' && !othersStay && move.floorAt.trim() === '')
    return 'Say where the old floor is kept.'
  return ''
}

/** What a move records, in one doing: the move itself; what becomes of the place it leaves, unless others
 * live on in it; and the old floor where it is kept. */
export function moveDrafts(
  move: Move,
  { residentId, from, othersStay }: Mover,
  newLot: () => string,
): Draft[] {
  const leaves = othersStay ? 'nothing' : move.leaves
  const expected = readCount(move.expected)
  const found = readCount(move.found)
  const moved: Draft = {
    subject: residentId,
    kind: 'moved',
    payload: {
      to: move.to,
      why: move.why.trim(),
      ...(from && { from }),
      ...(move.helpers.length > 0 && { helpers: [...move.helpers] }),
      ...(expected !== null && { expected }),
      ...(found !== null && { found }),
    },
  }
  if (from === undefined || leaves === 'nothing') return [moved]
  if (leaves === 'toClean')
    return [moved, { subject: from, kind: 'vacated', payload: { resident: residentId, leaves } }]
  return [
    moved,
    { subject: newLot(), kind: 'floorKept', payload: { of: residentId, at: move.floorAt.trim(), from } },
    { subject: from, kind: 'readied', payload: { floor: 'kept' } },
  ]
}
