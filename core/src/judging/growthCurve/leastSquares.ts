import type { Curve, GrowthModel } from './curves.ts'
import { SHAPES } from './curves.ts'

export interface Point {
  day: number
  value: number
}

/** Days from 0 to 1 and values at most 1 in size, so that limits and steps are the same for every animal. */
export interface Scaled {
  t: Float64Array
  y: Float64Array
  /** For how many points each stands. */
  w: Float64Array
  /** What was taken off and divided by. */
  from: number
  days: number
  most: number
}

export function scaled(points: readonly Point[]): Scaled {
  const from = points.reduce((least, { day }) => Math.min(least, day), Infinity)
  const days = points.reduce((most, { day }) => Math.max(most, day), -Infinity) - from
  const most = points.reduce((largest, { value }) => Math.max(largest, Math.abs(value)), 0)
  return {
    t: Float64Array.from(points, ({ day }) => (day - from) / days),
    y: Float64Array.from(points, ({ value }) => value / most),
    w: new Float64Array(points.length).fill(1),
    from,
    days,
    most,
  }
}

/** So many points tell where an optimum is; from twice as many on they are taken together for the search. */
const TOLD_BY = 400

/** Points that lie near each other in time taken together: the optimum of few stands near that of all, from where it is
 * followed on all of them. */
function gathered(data: Scaled): Scaled {
  const n = data.t.length
  if (n < 2 * TOLD_BY) return data
  const order = Array.from(data.t, (_, at) => at).sort(
    (a, b) => (data.t[a] as number) - (data.t[b] as number),
  )
  const some = {
    ...data,
    t: new Float64Array(TOLD_BY),
    y: new Float64Array(TOLD_BY),
    w: new Float64Array(TOLD_BY),
  }
  for (const [rank, at] of order.entries()) {
    const group = Math.floor((rank * TOLD_BY) / n)
    some.t[group] = (some.t[group] as number) + (data.t[at] as number)
    some.y[group] = (some.y[group] as number) + (data.y[at] as number)
    some.w[group] = (some.w[group] as number) + 1
  }
  for (let group = 0; group < TOLD_BY; group += 1) {
    const w = some.w[group] as number
    some.t[group] = (some.t[group] as number) / w
    some.y[group] = (some.y[group] as number) / w
  }
  return some
}

/** A curve over scaled days as `A·shape(c − k·t)`. With k and c given the best A follows, so that only two
 * numbers are searched for: variable projection, G. H. Golub and V. Pereyra, 1973. */
interface Trial {
  k: number
  c: number
  A: number
  rss: number
}

function trial(model: GrowthModel, { t, y, w }: Scaled, k: number, c: number): Trial {
  const { at } = SHAPES[model]
  let [gg, gy] = [0, 0]
  for (let i = 0; i < t.length; i += 1) {
    const g = at(c - k * (t[i] as number))
    const m = w[i] as number
    gg += m * g * g
    gy += m * g * (y[i] as number)
  }
  const A = gg > 0 ? gy / gg : 0
  if (!Number.isFinite(gg)) return { k, c, A: 0, rss: Infinity }
  let rss = 0
  for (let i = 0; i < t.length; i += 1) {
    const rest = (y[i] as number) - A * at(c - k * (t[i] as number))
    rss += (w[i] as number) * rest * rest
  }
  return { k, c, A, rss }
}

/** Gradient and Gauss–Newton matrix of the projected residuals by k and c. */
function linearised(model: GrowthModel, { t, y, w }: Scaled, { k, c, A }: Trial) {
  const { at, slope } = SHAPES[model]
  let [gg, gk, gc, yk, yc] = [0, 0, 0, 0, 0]
  for (let i = 0; i < t.length; i += 1) {
    const z = c - k * (t[i] as number)
    const [g, dc] = [at(z), slope(z)]
    const m = w[i] as number
    const dk = -dc * (t[i] as number)
    gg += m * g * g
    gk += m * g * dk
    gc += m * g * dc
    yk += m * (y[i] as number) * dk
    yc += m * (y[i] as number) * dc
  }
  const [Ak, Ac] = [(yk - 2 * A * gk) / gg, (yc - 2 * A * gc) / gg]
  let [kk, kc, cc, bk, bc] = [0, 0, 0, 0, 0]
  for (let i = 0; i < t.length; i += 1) {
    const z = c - k * (t[i] as number)
    const [g, dc] = [at(z), slope(z)]
    const rest = (y[i] as number) - A * g
    const jk = Ak * g - A * dc * (t[i] as number)
    const jc = Ac * g + A * dc
    const m = w[i] as number
    kk += m * jk * jk
    kc += m * jk * jc
    cc += m * jc * jc
    bk += m * jk * rest
    bc += m * jc * rest
  }
  return { kk, kc, cc, bk, bc }
}

/** Every start goes so far; the best of them are followed to the end. */
const SCOUTS = { steps: 30, arrived: 1e-5 }
const TO_THE_END = { steps: 400, arrived: 1e-13 }
const FOLLOWED = 5
const FOLLOWED_ON_ALL = 2

/** Downhill from a trial: K. Levenberg, 1944; D. Marquardt, 1963. No step is so long that it leaps over a valley.
 * Stops where nothing falls any more, or far outside of every limit. */
function descended(model: GrowthModel, data: Scaled, from: Trial, { steps, arrived }: typeof SCOUTS): Trial {
  let here = from
  let damping = 1e-3
  for (let step = 0; step < steps && Math.abs(here.k) < 1e5; step += 1) {
    const { kk, kc, cc, bk, bc } = linearised(model, data, here)
    let next: Trial | null = null
    while (!next && damping < 1e12) {
      const [a, d] = [kk * (1 + damping), cc * (1 + damping)]
      const det = a * d - kc * kc
      const [sk, sc] = [(bk * d - bc * kc) / det, (bc * a - bk * kc) / det]
      const share = 1 / Math.max(1, (2 * Math.abs(sk)) / Math.max(1, Math.abs(here.k)), Math.abs(sc) / 4)
      const tried = trial(model, data, here.k + share * sk, here.c + share * sc)
      if (tried.rss <= here.rss) next = tried
      else damping *= 4
    }
    if (!next) return here
    const moved = Math.max(
      Math.abs(next.k - here.k) / Math.max(1e-3, Math.abs(here.k)),
      Math.abs(next.c - here.c) / Math.max(1, Math.abs(here.c)),
    )
    here = next
    damping = Math.max(1e-12, damping / 9)
    if (moved < arrived) return here
  }
  return here
}

/** Rates tried over the span of the points, upwards and downwards: far beyond those that are accepted, so that an
 * optimum outside is seen. */
const UPWARDS = Array.from({ length: 24 }, (_, index) => 0.005 * 1.65 ** index)
const RATES = [...UPWARDS, ...UPWARDS.slice(0, 18).map((k) => -k)]
/** Where the shape is placed: from nearly all of it behind the points to nearly all of it ahead. */
const BEHIND = 26
const AHEAD = 8
/** Starts taken from the whole grid besides the valleys along the rates. */
const BEST_STARTS = 12

function alongShape(model: GrowthModel, data: Scaled, k: number): Trial[] {
  const from = Math.min(0, k) - BEHIND
  const to = Math.max(0, k) + AHEAD
  const trials: Trial[] = []
  for (let c = from; c <= to; c += 1) trials.push(trial(model, data, k, c))
  return trials
}

function isValley(at: number, along: readonly Trial[]): boolean {
  const here = (along[at] as Trial).rss
  return here <= (along[at - 1]?.rss ?? Infinity) && here <= (along[at + 1]?.rss ?? Infinity)
}

function starts(model: GrowthModel, data: Scaled): Trial[] {
  const valleys = RATES.flatMap((k) => {
    const along = alongShape(model, data, k)
    return [along.filter((_, at) => isValley(at, along)).sort((a, b) => a.rss - b.rss)]
  })
  const best = valleys.flatMap((along) => along.slice(0, 1)).sort((a, b) => a.k - b.k)
  const alongRates = best.filter((_, at) => isValley(at, best))
  const everywhere = valleys.flatMap((along) => along.slice(0, 3)).sort((a, b) => a.rss - b.rss)
  return [...new Set([...everywhere.slice(0, BEST_STARTS), ...alongRates])]
}

/** The curve of least squares over all A, k and t0 there are, whether or not they describe growth, and its
 * residual sum of squares. */
export function leastSquares(model: GrowthModel, data: Scaled): Curve & { rss: number } {
  const some = gathered(data)
  const best = (trials: readonly Trial[], most: number) =>
    [...trials].sort((a, b) => a.rss - b.rss).slice(0, most)
  const scouts = best(
    starts(model, some).map((from) => descended(model, some, from, SCOUTS)),
    FOLLOWED,
  )
  const followed = scouts.map((from) => descended(model, some, from, TO_THE_END))
  const ends =
    some === data
      ? followed
      : best(followed, FOLLOWED_ON_ALL).map(({ k, c }) =>
          descended(model, data, trial(model, data, k, c), TO_THE_END),
        )
  const { k, c, A, rss } = ends.reduce((least, one) => (one.rss < least.rss ? one : least))
  const { days, from, most } = data
  return { model, A: A * most, k: k / days, t0: from + (days * c) / k, rss: rss * most * most }
}
