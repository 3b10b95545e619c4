import type { WeightReading } from '../fold/residentState.ts'

/** A reading is suspect when its standardised innovation exceeds this. */
const GATE = 4
/** A later reading within this many days can vouch for a suspect one. */
const AGREES_WITHIN_DAYS = 30

export interface Weighing {
  /** Standard deviation of ln grams of one weighing. */
  r: number
  /** Wandering of the growth rate, per day³ in ln grams squared. */
  q: number
}

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

function vouchedFor(reading: WeightReading, next: WeightReading | undefined, r: number): boolean {
  if (reading.confirmed) return true
  if (!next || next.day - reading.day > AGREES_WITHIN_DAYS) return false
  return Math.abs(Math.log(next.grams / reading.grams)) <= GATE * r * Math.SQRT2
}

/** The present weight by a local linear trend on ln grams with a flat start, leaving out suspect
 * readings (Harvey, Forecasting, Structural Time Series Models and the Kalman Filter, 1989).
 * A reading beyond the gate counts when it was confirmed at entry or the next one agrees with it.
 * Null without a positive reading. Readings must be in order of day. */
export function weightLevel(readings: readonly WeightReading[], { r, q }: Weighing): WeightLevel | null {
  const kept = readings.filter(({ grams }) => grams > 0)
  const suspects: string[] = []
  let first: { day: number; y: number; n: number } | null = null
  let k: Kalman | null = null
  for (const [index, reading] of kept.entries()) {
    const y = Math.log(reading.grams)
    if (!first) first = { day: reading.day, y, n: 1 }
    else if (!k && reading.day === first.day) {
      first = { day: first.day, n: first.n + 1, y: (first.y * first.n + y) / (first.n + 1) }
    } else if (!k) k = resolved(first, reading.day, y, { r, q })
    else {
      const ahead = predicted(k, reading.day, q)
      const beyond = Math.abs(innovation(ahead, y, r)) > GATE
      if (beyond && !vouchedFor(reading, kept[index + 1], r)) suspects.push(reading.uid)
      else k = updated(ahead, y, r)
    }
  }
  if (!first) return null
  const { day, level } = k ?? { day: first.day, level: first.y }
  return { grams: Math.exp(level), day, readings: kept.length, suspects }
}
