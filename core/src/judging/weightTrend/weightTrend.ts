import type { Belief, Logged, Smoothed } from './localTrend.ts'
import { believing, expectedReading, isTrend, smoothed } from './localTrend.ts'
import type { Weighing } from '../../plans/growth/weighing.ts'

/** Readings taken in one after the other. */
export interface Filtered {
  /** What is believed after each. */
  beliefs: Belief[]
  /** The standardised surprises whose sum of squares is in `logLik`. */
  surprises: number[]
  logLik: number
}

export interface WeightTrend {
  /** Level of ln grams after the last reading, and its slope per day. */
  level: number | null
  slope: number | null
  levelVar: number | null
  slopeVar: number | null
  /** One for each day that has a reading, ascending. */
  days: Smoothed[]
  logLik: number | null
}

const LN_2PI = Math.log(2 * Math.PI)

/** Which belief each day ended with. */
function atEndOfDays(beliefs: readonly Belief[]): Belief[] {
  return beliefs.filter(({ day }, index) => beliefs[index + 1]?.day !== day)
}

/** Takes readings in, in order of day. The first and the first on another day resolve a flat start and have no part
 * in `logLik`. */
export function filtered(readings: readonly Logged[], weighing: Weighing): Filtered {
  const beliefs: Belief[] = []
  const surprises: number[] = []
  let logLik = 0
  for (const reading of readings) {
    const before = beliefs.at(-1) ?? null
    const expected = expectedReading(before, reading, weighing)
    if (expected) {
      const { mean, variance } = expected
      const surprise = (reading.y - mean) / Math.sqrt(variance)
      surprises.push(surprise)
      logLik -= (LN_2PI + Math.log(variance) + surprise * surprise) / 2
    }
    beliefs.push(believing(before, reading, weighing))
  }
  return { beliefs, surprises, logLik }
}

/** Levels given all readings, one for each day that has any. */
export function smoothedOver({ beliefs }: Filtered, weighing: Weighing): Smoothed[] {
  return smoothed(atEndOfDays(beliefs), weighing)
}

/** Level and slope of ln grams by a local linear trend: over dt days the slope wanders with variance q·dt, a
 * reading scatters with variance r². Flat start for both.
 *
 * Readings must be in order of day. Everything null without one; no slope with one day only. */
export function weightTrend(readings: readonly Logged[], weighing: Weighing): WeightTrend {
  const run = filtered(readings, weighing)
  const last = run.beliefs.at(-1)
  const days = smoothedOver(run, weighing)
  const { logLik } = run
  if (!last) return { level: null, slope: null, levelVar: null, slopeVar: null, days, logLik: null }
  if (isTrend(last)) {
    const { level, slope, ll, ss } = last
    return { level, slope, levelVar: ll, slopeVar: ss, days, logLik }
  }
  const { level, n } = last
  const levelVar = (weighing.r * weighing.r) / n
  return { level, slope: null, levelVar, slopeVar: null, days, logLik }
}
