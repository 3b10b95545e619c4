import type { Weighing } from '../../plans/growth/weighing.ts'

/** One weighing as the trend takes it: ln grams on a civil day. */
export interface Logged {
  day: number
  y: number
  /** How many readings of the usual scatter it is worth; one where nothing was said. */
  worth?: number
}

/** Only one day so far: the mean of its readings. Of the slope nothing is known. */
export interface Start {
  day: number
  level: number
  /** Readings of the usual scatter behind it. */
  n: number
}

/** Level and slope per day of ln grams on a day, with their covariance. */
export interface Trend {
  day: number
  level: number
  slope: number
  /** Variance of the level, covariance with the slope, variance of the slope. */
  ll: number
  ls: number
  ss: number
  /** `ll·ss − ls²`, carried along: computed from the other three it is lost in rounding. */
  det: number
}

export type Belief = Start | Trend

/** Days closer together than this are one: their difference divides nothing. */
const ONE_DAY = 1e-60

export function isTrend(belief: Belief): belief is Trend {
  return 'slope' in belief
}

/** Variance of one reading. */
function scatterOf({ worth = 1 }: Pick<Logged, 'worth'>, r: number): number {
  return (r * r) / worth
}

/** Level and slope after the first reading of a second day: exactly what a flat start gives. */
function resolved(first: Start, reading: Logged, { r, q }: Weighing): Trend {
  const { day, y } = reading
  const dt = day - first.day
  const r2 = scatterOf(reading, r)
  const apart = (r * r) / first.n + (q * dt ** 3) / 3
  return {
    day,
    level: y,
    slope: (y - first.level) / dt,
    ll: r2,
    ls: r2 / dt,
    ss: (r2 + apart) / dt ** 2,
    det: (r2 * apart) / dt ** 2,
  }
}

/** What is believed of a later day when nothing was read in between.
 *
 * Every term of the covariance is a sum of positive ones, so that nothing cancels. */
export function ahead(k: Trend, day: number, q: number): Trend {
  const dt = day - k.day
  if (dt === 0) return k
  return {
    day,
    level: k.level + k.slope * dt,
    slope: k.slope,
    ll: k.ll + 2 * dt * k.ls + dt * dt * k.ss + (q * dt ** 3) / 3,
    ls: k.ls + dt * k.ss + (q * dt * dt) / 2,
    ss: k.ss + q * dt,
    det: k.det + q * (dt * k.ll + dt * dt * k.ls + (dt ** 3 * k.ss) / 3) + (q * q * dt ** 4) / 12,
  }
}

function updated(k: Trend, y: number, r2: number): Trend {
  const f = k.ll + r2
  const v = y - k.level
  return {
    day: k.day,
    level: k.level + (k.ll / f) * v,
    slope: k.slope + (k.ls / f) * v,
    ll: (k.ll * r2) / f,
    ls: (k.ls * r2) / f,
    ss: (k.ss * r2 + k.det) / f,
    det: (k.det * r2) / f,
  }
}

/** Mean and variance of the next reading as it is expected; null where nothing can be expected, because it is
 * the first one or the first of a second day. */
export function expectedReading(
  belief: Belief | null,
  reading: Pick<Logged, 'day' | 'worth'>,
  { r, q }: Weighing,
): { mean: number; variance: number } | null {
  if (!belief) return null
  const own = scatterOf(reading, r)
  if (isTrend(belief)) {
    const { level, ll } = ahead(belief, reading.day, q)
    return { mean: level, variance: ll + own }
  }
  if (reading.day - belief.day > ONE_DAY) return null
  return { mean: belief.level, variance: (r * r) / belief.n + own }
}

/** What is believed once a reading has been taken in. Readings come in order of day.
 *
 * Local linear trend with an exact diffuse start: A. C. Harvey, Forecasting, Structural Time Series Models and
 * the Kalman Filter, 1989, ch. 3 and 4; S. J. Koopman, Exact initial Kalman filtering and smoothing, 1997. */
export function believing(belief: Belief | null, reading: Logged, weighing: Weighing): Belief {
  const { day, y, worth = 1 } = reading
  if (!belief) return { day, level: y, n: worth }
  if (isTrend(belief)) return updated(ahead(belief, day, weighing.q), y, scatterOf(reading, weighing.r))
  if (day - belief.day > ONE_DAY) return resolved(belief, reading, weighing)
  const n = belief.n + worth
  return { day: belief.day, n, level: belief.level + ((y - belief.level) * worth) / n }
}

/** Level of a day given all readings, and its variance. */
export interface Smoothed {
  day: number
  level: number
  levelVar: number
}

interface SmoothedTrend extends Smoothed {
  slope: number
  ls: number
  ss: number
}

interface Covariance {
  ll: number
  ls: number
  ss: number
}

/** Variance of `x` levels and `y` slopes together. */
function varianceOf(x: number, y: number, { ll, ls, ss }: Covariance): number {
  return Math.max(0, x * x * ll + 2 * x * y * ls + y * y * ss)
}

/** Covariance of two such sums. */
function covarianceOf([x, y]: readonly [number, number], [u, v]: readonly [number, number], k: Covariance) {
  return x * u * k.ll + (x * v + y * u) * k.ls + y * v * k.ss
}

/** One step back of the fixed-interval smoother (Rauch, Tung and Striebel, 1965): from what all readings say of
 * the next day to what they say of this one.
 *
 * Gain and rest are written out, and the covariance is the sum of what each leaves open (P. D. Joseph's form),
 * so that nothing cancels: what was believed of a day far ahead may be many powers of ten less sure than what is
 * known of it. */
function back(k: Trend, next: SmoothedTrend, q: number): SmoothedTrend {
  const dt = next.day - k.day
  const p = ahead(k, next.day, q)
  const a = (k.det + q * (dt * k.ll + (dt * dt * k.ls) / 2)) / p.det
  const b = -(dt * k.det + q * ((dt * dt * k.ll) / 2 + (dt ** 3 * k.ls) / 6)) / p.det
  const c = (q * (dt * k.ls + (dt * dt * k.ss) / 2)) / p.det
  const d = (k.det - q * ((dt * dt * k.ls) / 2 + (dt ** 3 * k.ss) / 6)) / p.det
  const [dl, ds] = [next.level - p.level, next.slope - p.slope]
  // What of the belief of this day the gain leaves: one less the gain over the step.
  const wander = (q * q * dt ** 4) / 12
  const ownLevel = [
    (q * ((dt * dt * k.ls) / 2 + (dt ** 3 * k.ss) / 3) + wander) / p.det,
    -(q * ((dt * dt * k.ll) / 2 + (dt ** 3 * k.ls) / 3)) / p.det,
  ] as const
  const ownSlope = [-c, (q * (dt * k.ll + (dt * dt * k.ls) / 2) + wander) / p.det] as const
  const open = {
    ll: next.levelVar + (q * dt ** 3) / 3,
    ls: next.ls + (q * dt * dt) / 2,
    ss: next.ss + q * dt,
  }
  return {
    day: k.day,
    level: k.level + a * dl + b * ds,
    slope: k.slope + c * dl + d * ds,
    levelVar: varianceOf(...ownLevel, k) + varianceOf(a, b, open),
    ls: covarianceOf(ownLevel, ownSlope, k) + covarianceOf([a, b], [c, d], open),
    ss: varianceOf(...ownSlope, k) + varianceOf(c, d, open),
  }
}

/** The same step to the first day, where the slope was unknown: the limit of a flat start. */
function backToStart(start: Start, next: SmoothedTrend, { r, q }: Weighing): Smoothed {
  const dt = next.day - start.day
  const p = (r * r) / start.n
  const wander = (q * dt ** 3) / 3
  const gain = p / (p + wander)
  return {
    day: start.day,
    level: start.level + gain * (next.level - dt * next.slope - start.level),
    levelVar: gain * wander + varianceOf(gain, -gain * dt, { ...next, ll: next.levelVar }),
  }
}

/** Levels given all readings, from what was believed at the end of each day that has any, in order of day. */
export function smoothed(ends: readonly Belief[], weighing: Weighing): Smoothed[] {
  const last = ends.at(-1)
  if (!last) return []
  if (!isTrend(last)) {
    return [{ day: last.day, level: last.level, levelVar: (weighing.r * weighing.r) / last.n }]
  }
  let next: SmoothedTrend = { ...last, levelVar: last.ll }
  const levels: Smoothed[] = [{ day: last.day, level: last.level, levelVar: last.ll }]
  for (const end of ends.slice(0, -1).reverse()) {
    if (!isTrend(end)) {
      levels.push(backToStart(end, next, weighing))
      continue
    }
    next = back(end, next, weighing.q)
    levels.push({ day: next.day, level: next.level, levelVar: next.levelVar })
  }
  return levels.reverse()
}
