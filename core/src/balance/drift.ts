import type { BalanceReading } from './balanceReading.ts'

/** A stretch is cut into so many pieces, each taken by its median. */
const PIECES = 6
const MOST_OF_A_PIECE = 15
/** Along a line as straight as that they go one way. */
const STRAIGHT = 0.9
/** What is drifted has to be at least so many graduations, and this share of what is allowed to spread. */
const GRADUATIONS = 1.5
const SHARE = 0.3

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length / 2
  const high = sorted[Math.floor(half)] ?? NaN
  return sorted.length % 2 === 1 ? high : (high + (sorted[half - 1] ?? NaN)) / 2
}

/** The middle of one piece, by some of its readings where there are many. */
function pieceOf(readings: readonly BalanceReading[], piece: number): number {
  const length = readings.length / PIECES
  const some = Math.min(MOST_OF_A_PIECE, Math.floor(length))
  return median(
    Array.from({ length: some }, (_, at) => {
      const reading = readings[Math.floor(length * (piece + at / some))]
      return reading?.grams ?? NaN
    }),
  )
}

/** How far readings that lie close together go steadily one way, in grams: water that runs off, a balance that warms up.
 * 0 where they do not. In order of time. */
export function driftOf(
  readings: readonly BalanceReading[],
  { graduation, allowed }: { graduation: number; allowed: number },
): number {
  if (readings.length < PIECES) return 0
  const pieces = Array.from({ length: PIECES }, (_, piece) => pieceOf(readings, piece))
  const middle = (PIECES - 1) / 2
  const mean = pieces.reduce((sum, one) => sum + one, 0) / PIECES
  const along = pieces.reduce((sum, one, at) => sum + (at - middle) * (one - mean), 0)
  const across = pieces.reduce((sum, _, at) => sum + (at - middle) ** 2, 0)
  const spread = pieces.reduce((sum, one) => sum + (one - mean) ** 2, 0)
  const drift = (along / across) * (PIECES - 1)
  const least = Math.max(GRADUATIONS * graduation, SHARE * allowed)
  const isStraight = spread > 0 && Math.abs(along) / Math.sqrt(across * spread) >= STRAIGHT
  return isStraight && Math.abs(drift) >= least ? drift : 0
}
