import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { studentQuantile } from '../../basics/statistics/studentQuantile.ts'
import type { Curve } from './curves.ts'
import { dayReached, gradientOn, GrowthModel, valueOn } from './curves.ts'
import type { Point, Scaled } from './leastSquares.ts'
import { leastSquares, scaled } from './leastSquares.ts'

/** What the points must be at least to tell a curve of three numbers from chance. */
const LEAST_POINTS = 6
const LEAST_DAYS = 4
/** Further than this beyond the largest value, nothing in the points speaks of the end of growth. */
const MOST_BEYOND = 10
/** Rates over the span of the points that can be told from a straight line and from a step. */
const RATES = [0.02, 200] as const
/** A standard error of this share says nothing any more. */
const MOST_ERROR = 0.5
/** A, k, t0 and the variance. */
const NUMBERS = 4
/** Within so many units of AICc the points do not say which shape it is. */
const UNDECIDED = 2
const SLACK = 1e-9

/** Why points have no growth curve. */
export type NoCurve =
  | { code: 'tooFewPoints'; points: number; days: number }
  | { code: 'allAlike' }
  /** The sum of squares keeps falling towards a curve without a grown size, a straight line or a step. */
  | { code: 'noOptimum' }
  | { code: 'tooUncertain' }
  | { code: 'straight' }

export interface GrowthFit extends Curve {
  se: { A: number; k: number; t0: number }
  /** Residual sum of squares. */
  rss: number
  /** Akaike's criterion corrected for few points; null where the points lie on the curve without any rest. */
  aicc: number | null
  /** Covariance of A, k and t0, row by row. */
  covariance: number[][]
  points: number
}

export type GrowthAnswer = { fit: GrowthFit } | { refused: NoCurve }

function lineRss({ t, y }: Scaled): number {
  const n = t.length
  let [st, sy] = [0, 0]
  for (let i = 0; i < n; i += 1) {
    st += t[i] as number
    sy += y[i] as number
  }
  let [tt, ty] = [0, 0]
  for (let i = 0; i < n; i += 1) {
    const dt = (t[i] as number) - st / n
    tt += dt * dt
    ty += dt * (y[i] as number)
  }
  const slope = ty / tt
  let rss = 0
  for (let i = 0; i < n; i += 1) {
    const rest = (y[i] as number) - sy / n - slope * ((t[i] as number) - st / n)
    rss += rest * rest
  }
  return rss
}

/** s²(JᵀJ)⁻¹ by singular values of the scaled Jacobian, or null where it has none. */
function covarianceOf(curve: Curve, points: readonly Point[], rss: number): number[][] | null {
  const rows = points.map(({ day }) => gradientOn(curve, day))
  const norms = [0, 1, 2].map((at) => Math.sqrt(rows.reduce((sum, row) => sum + (row[at] as number) ** 2, 0)))
  if (!norms.every((norm) => norm > 0 && Number.isFinite(norm))) return null
  const jacobian = new Matrix(rows.map((row) => row.map((value, at) => value / (norms[at] as number))))
  const { diagonal, rightSingularVectors: v } = new SingularValueDecomposition(jacobian)
  if (diagonal.some((value) => !(value > 0))) return null
  const s2 = rss / (points.length - 3)
  return norms.map((row, i) =>
    norms.map((column, j) => {
      const sum = diagonal.reduce((so, value, at) => so + (v.get(i, at) * v.get(j, at)) / value ** 2, 0)
      return (s2 * sum) / (row * column)
    }),
  )
}

function aiccOf(rss: number, n: number): number | null {
  const aicc = n * Math.log(rss / n) + 2 * NUMBERS + (2 * NUMBERS * (NUMBERS + 1)) / (n - NUMBERS - 1)
  return Number.isFinite(aicc) ? aicc : null
}

function isInside({ A, k }: Curve, { days, most }: Scaled): boolean {
  const rate = k * days
  const [slowest, fastest] = RATES
  return (
    A > 0 &&
    A <= MOST_BEYOND * most * (1 + SLACK) &&
    rate >= slowest * (1 - SLACK) &&
    rate <= fastest * (1 + SLACK)
  )
}

function unfit(points: readonly Point[]): NoCurve | null {
  const days = new Set(points.map(({ day }) => day)).size
  if (points.length < LEAST_POINTS || days < LEAST_DAYS)
    return { code: 'tooFewPoints', points: points.length, days }
  return points.every(({ value }) => value === points[0]?.value) ? { code: 'allAlike' } : null
}

/** One growth curve by ordinary least squares, each point one observation, or why the points have none.
 *
 * Standard errors from the Jacobian at the optimum (G. A. F. Seber and C. J. Wild, Nonlinear Regression, 1989,
 * ch. 2 and 7.3 for growth); AICc by K. P. Burnham and D. R. Anderson, Model Selection and Multimodel Inference,
 * 2nd ed., 2002. Days are counted from any origin; values and A are in the same unit. */
export function growthFit(model: GrowthModel, points: readonly Point[]): GrowthAnswer {
  const unable = unfit(points)
  if (unable) return { refused: unable }
  const data = scaled(points)
  const { rss, ...curve } = leastSquares(model, data)
  if (!isInside(curve, data) || !Number.isFinite(rss)) return { refused: { code: 'noOptimum' } }
  const covariance = covarianceOf(curve, points, rss)
  const [A = Infinity, k = Infinity, t0 = Infinity] = (covariance ?? []).map((row, at) =>
    Math.sqrt(row[at] as number),
  )
  if (!covariance || !(A < curve.A * MOST_ERROR) || !(k < curve.k * MOST_ERROR))
    return { refused: { code: 'tooUncertain' } }
  if (lineRss(data) * data.most ** 2 <= rss) return { refused: { code: 'straight' } }
  const se = { A, k, t0 }
  return { fit: { ...curve, se, rss, aicc: aiccOf(rss, points.length), covariance, points: points.length } }
}

export interface BestFit {
  best: GrowthFit
  /** Every accepted model with how much worse its AICc is, best first. */
  accepted: { model: GrowthModel; fit: GrowthFit; delta: number }[]
  /** Another shape would do nearly as well. */
  undecided: boolean
}

/** The accepted curve of lowest AICc. */
export function bestGrowthFit(points: readonly Point[]): BestFit | { refused: NoCurve } {
  const answers = GrowthModel.options.map((model) => growthFit(model, points))
  const fits = answers.flatMap((answer) => ('fit' in answer ? [answer.fit] : []))
  const rank = ({ aicc }: GrowthFit) => aicc ?? -Infinity
  const [best] = [...fits].sort((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)))
  if (!best) return answers.find((answer) => 'refused' in answer) as { refused: NoCurve }
  const delta = (fit: GrowthFit) => (rank(fit) === rank(best) ? 0 : rank(fit) - rank(best))
  const accepted = fits
    .map((fit) => ({ model: fit.model, fit, delta: Math.min(delta(fit), Number.MAX_VALUE) }))
    .sort((a, b) => a.delta - b.delta)
  return { best, accepted, undecided: accepted.filter((one) => one.delta <= UNDECIDED).length > 1 }
}

function sdOf({ covariance }: GrowthFit, gradient: readonly number[]): number {
  let variance = 0
  for (const [i, row] of covariance.entries())
    for (const [j, value] of row.entries())
      variance += (gradient[i] as number) * (gradient[j] as number) * value
  return Math.sqrt(Math.max(0, variance))
}

function widthOf({ points }: GrowthFit): number {
  return studentQuantile(0.975, points - 3)
}

/** The curve on a day with its 95 % band by the delta method. */
export function bandOn(fit: GrowthFit, day: number): { day: number; value: number; lo: number; hi: number } {
  const value = valueOn(fit, day)
  const width = widthOf(fit) * sdOf(fit, gradientOn(fit, day))
  return { day, value, lo: value - width, hi: value + width }
}

/** The day on which the curve reaches a value, with its 95 % interval by the delta method; null where it never
 * does. */
export function reachedBy(fit: GrowthFit, value: number): { day: number; lo: number; hi: number } | null {
  const day = dayReached(fit, value)
  if (day === null) return null
  const gradient = gradientOn(fit, day)
  const perDay = -gradient[2]
  const width = widthOf(fit) * (sdOf(fit, gradient) / Math.abs(perDay))
  return Number.isFinite(width) ? { day, lo: day - width, hi: day + width } : null
}
