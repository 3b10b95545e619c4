import type { WeightReading } from './growthState.ts'
import type { Weighing } from './weighing.ts'

/** A reading is suspect when its standardised innovation exceeds this. */
const GATE = 4
/** A later reading within this many days can vouch for a suspect one. */
const AGREES_WITHIN_DAYS = 30
/** What the young may grow in a month, and at most between two weighings, in ln grams. A decimal that
 * slipped is ln 10 off. */
const GROWTH_A_MONTH = Math.LN2
const MOST_GROWTH = Math.log(5)

export interface WeightLevel {
  /** Present weight, grams, with meals and the scale smoothed out. */
  grams: number
  day: number
  readings: number
  /** Readings set aside, by the uid of their entry. */
  suspects: string[]
}

interface Kalman {
  day: number
  level: number
  slope: number
  ll: number
  ls: number
  ss: number
}

/** Level and slope after the first two distinct days: exactly what a flat start gives. */
function resolved(
  first: { day: number; y: number; n: number },
  day: number,
  y: number,
  { r, q }: Weighing,
): Kalman {
  const dt = day - first.day
  const r2 = r * r
  const firstVar = r2 / first.n
  const slopeVar = (r2 + firstVar + (q * dt ** 3) / 3) / dt ** 2
  return { day, level: y, slope: (y - first.y) / dt, ll: r2, ls: r2 / dt, ss: slopeVar }
}

function predicted(k: Kalman, day: number, q: number): Kalman {
  const dt = day - k.day
  return {
    day,
    level: k.level + k.slope * dt,
    slope: k.slope,
    ll: k.ll + 2 * dt * k.ls + dt * dt * k.ss + (q * dt ** 3) / 3,
    ls: k.ls + dt * k.ss + (q * dt * dt) / 2,
    ss: k.ss + q * dt,
  }
}

function updated(k: Kalman, y: number, r: number): Kalman {
  const f = k.ll + r * r
  const gainLevel = k.ll / f
  const gainSlope = k.ls / f
  const v = y - k.level
  return {
    day: k.day,
    level: k.level + gainLevel * v,
    slope: k.slope + gainSlope * v,
    ll: k.ll * (1 - gainLevel),
    ls: k.ls * (1 - gainLevel),
    ss: k.ss - gainSlope * k.ls,
  }
}

function innovation(k: Kalman, y: number, r: number): number {
  return (y - k.level) / Math.sqrt(k.ll + r * r)
}

function agree(a: WeightReading, b: WeightReading, r: number): boolean {
  return Math.abs(Math.log(a.grams / b.grams)) <= GATE * r * Math.SQRT2
}

function vouchedFor(reading: WeightReading, next: WeightReading | undefined, r: number): boolean {
  if (reading.confirmed) return true
  return next !== undefined && next.day - reading.day <= AGREES_WITHIN_DAYS && agree(reading, next, r)
}

/** Further from what was believed than an animal grows or wastes in that time. */
function beyondGrowth(before: Pick<Start, 'day' | 'y'>, { day, grams }: WeightReading, r: number): boolean {
  const dt = day - before.day
  const most = Math.min(MOST_GROWTH, (GROWTH_A_MONTH * dt) / 30) + GATE * r * Math.SQRT2
  return Math.abs(Math.log(grams) - before.y) > most
}

function dayOf({ day, grams }: WeightReading): Pick<Start, 'day' | 'y'> {
  return { day, y: Math.log(grams) }
}

/** The readings of the first day that counts, their mean taken. */
interface Start {
  day: number
  y: number
  n: number
}

/** What is believed so far: nothing, one day's weight, or a trend. */
interface Believed {
  start: Start | null
  trend: Kalman | null
  /** The readings behind it, as long as it is only a start. */
  begunWith: WeightReading[]
}

const NOTHING: Believed = { start: null, trend: null, begunWith: [] }

function isBeyond({ start, trend }: Believed, reading: WeightReading, { r, q }: Weighing): boolean {
  if (!trend) return start !== null && beyondGrowth(start, reading, r)
  const ahead = predicted(trend, reading.day, q)
  if (Math.abs(innovation(ahead, Math.log(reading.grams), r)) > GATE) return true
  // After months unweighed nearly anything lies within the trend's own doubt; a slip still does not grow.
  return beyondGrowth({ day: trend.day, y: trend.level }, reading, r)
}

function afterReading(
  { start, trend, begunWith }: Believed,
  reading: WeightReading,
  weighing: Weighing,
): Believed {
  const { r, q } = weighing
  const y = Math.log(reading.grams)
  if (trend) return { start, trend: updated(predicted(trend, reading.day, q), y, r), begunWith: [] }
  if (!start) return { start: { day: reading.day, y, n: 1 }, trend: null, begunWith: [reading] }
  if (reading.day === start.day) {
    const n = start.n + 1
    return {
      start: { day: start.day, n, y: start.y + (y - start.y) / n },
      trend: null,
      begunWith: [...begunWith, reading],
    }
  }
  return { start, trend: resolved(start, reading.day, y, weighing), begunWith: [] }
}

/** Whether what was set aside and the next reading speak together against the belief: both could be of one
 * growing animal, and the belief is further off than they are from each other. */
function outvotes(
  aside: WeightReading,
  reading: WeightReading,
  believed: Believed,
  weighing: Weighing,
): boolean {
  if (beyondGrowth(dayOf(aside), reading, weighing.r)) return false
  if (isBeyond(believed, reading, weighing)) return true
  const apart = (y: number) => Math.abs(Math.log(reading.grams) - y)
  return !believed.trend && believed.start !== null && apart(dayOf(aside).y) < apart(believed.start.y)
}

/** The present weight by a local linear trend on ln grams with a flat start, leaving out suspect
 * readings (Harvey, Forecasting, Structural Time Series Models and the Kalman Filter, 1989).
 *
 * A reading beyond the gate is set aside unless it was confirmed at entry or the next one within 30 days
 * agrees with it. Before there is a trend the gate is what could be growth. Two set aside in a row that
 * could be of one growing animal, however far apart, are the way back: then it is the earlier belief that was
 * wrong, and the trend begins anew with them. So one slip, wherever it stands, is outvoted by the two
 * readings after it.
 *
 * Null without a positive reading. Readings must be in order of day. */
export function weightLevel(readings: readonly WeightReading[], weighing: Weighing): WeightLevel | null {
  const kept = readings.filter(({ grams }) => grams > 0)
  const suspects = new Set<string>()
  let believed: Believed = NOTHING
  let aside = null as WeightReading | null
  const beginAnew = (from: readonly WeightReading[]) => {
    for (const { uid, confirmed } of believed.begunWith) if (!confirmed) suspects.add(uid)
    for (const { uid } of from) suspects.delete(uid)
    believed = from.reduce((known, reading) => afterReading(known, reading, weighing), NOTHING)
    aside = null
  }
  for (const [index, reading] of kept.entries()) {
    if (aside && outvotes(aside, reading, believed, weighing)) beginAnew([aside, reading])
    else if (!isBeyond(believed, reading, weighing)) {
      believed = afterReading(believed, reading, weighing)
      aside = null
    } else if (vouchedFor(reading, kept[index + 1], weighing.r)) {
      // One day's weight that the next two do not bear out was the slip.
      if (!believed.trend) beginAnew([reading])
      else believed = afterReading(believed, reading, weighing)
      aside = null
    } else {
      suspects.add(reading.uid)
      aside = reading
    }
  }
  const { start, trend } = believed
  if (!start) return null
  const { day, level } = trend ?? { day: start.day, level: start.y }
  return { grams: Math.exp(level), day, readings: kept.length, suspects: [...suspects] }
}
