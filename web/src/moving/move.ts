import type { Draft } from '@kobrin/core'
import type { PlaceLeft } from './placeLeft.ts'
import { placeLeftDrafts, wrongWithPlace } from './placeLeft.ts'
import { t } from './words.ts'

/** A move as it stands in the form. */
export interface Move extends PlaceLeft {
  why: string
  to: string
  helpers: string[]
  /** Counted out and counted in; null where nothing was typed. */
  expected: number | null
  found: number | null
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
  return Math.max(0, (expected ?? 0) - (found ?? Infinity))
}

/** What a move lacks that it could be kept without, by field. */
export function wrongWithMove(move: Move, { needsTwo, othersStay }: Mover): Record<string, string> {
  const wrong: Record<string, string> = {}
  if (move.to === '') wrong['to'] = t('chooseWhereToNothing')
  if (move.why.trim() === '') wrong['why'] = t('sayWhyInA')
  if (needsTwo && move.helpers.length === 0) wrong['helpers'] = t('thisIsWorkFor')
  if (move.expected === null) wrong['expected'] = t('countOutHowMany')
  if (move.found === null) wrong['found'] = t('countInHowMany')
  return { ...wrong, ...wrongWithPlace(move, othersStay) }
}

/** What a move records, in one doing: the move itself; what becomes of the place it leaves, unless others
 * live on in it; and the old floor where it is kept. */
export function moveDrafts(
  move: Move,
  { residentId, from, othersStay }: Mover,
  newLot: () => string,
): Draft[] {
  const { expected, found } = move
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
  if (from === undefined || othersStay) return [moved]
  return [moved, ...placeLeftDrafts(move, { resident: residentId, from, newLot })]
}
