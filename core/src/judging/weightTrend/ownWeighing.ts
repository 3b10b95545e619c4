import type { Logged } from './localTrend.ts'
import type { Weighing } from '../../plans/growth/weighing.ts'
import { filtered } from './weightTrend.ts'

/** What the sheet says of scatter is worth so many readings of this one's own. */
const SHEET_WORTH = 4
const LEAST_SCATTER = 0.1
/** From so many readings on they say how far the rate of growth wanders. */
const LEAST_READINGS = 12
/** Powers of ten by which it may wander less or more than the sheet says; one either way is usual. */
const DECADES = [-1, -0.5, 0, 0.5, 1, 1.5, 2] as const

interface Own {
  weighing: Weighing
  likelihood: number
}

/** The scale of all variances that goes with a way of wandering, and how likely both are. */
function ownAt(runs: readonly (readonly Logged[])[], { r, q }: Weighing, decade: number): Own {
  const ratio = q * 10 ** decade
  const filteredRuns = runs.map((run) => filtered(run, { r, q: ratio }))
  const surprises = filteredRuns.flatMap((one) => one.surprises)
  const squares = surprises.reduce((sum, one) => sum + one * one, 0)
  const count = SHEET_WORTH + surprises.length
  const scale = Math.max(LEAST_SCATTER, (SHEET_WORTH + squares) / count)
  const spread = filteredRuns.reduce((sum, { logLik }) => sum + logLik, squares / 2)
  return {
    weighing: { r: r * Math.sqrt(scale), q: ratio * scale },
    likelihood: spread - (count / 2) * Math.log(scale) - decade ** 2 / 2,
  }
}

/** How far the weighings of this one scatter and how far its growth wanders: what the sheet says, scaled by how its
 * readings fell, and from twelve of them on with the wandering that makes them likeliest.
 *
 * Likelihood of the prediction errors with the scale concentrated out (A. C. Harvey, Forecasting, Structural Time
 * Series Models and the Kalman Filter, 1989, 3.4), the sheet standing in for four readings. */
export function ownWeighing(runs: readonly (readonly Logged[])[], sheet: Weighing): Weighing {
  const count = runs.reduce((sum, run) => sum + run.length, 0)
  const decades = count < LEAST_READINGS ? [0] : DECADES
  return decades
    .map((decade) => ownAt(runs, sheet, decade))
    .reduce((best, one) => (one.likelihood > best.likelihood ? one : best)).weighing
}
