import type { Day } from '../../basics/time/day.ts'
import type { Belief, Smoothed } from './localTrend.ts'
import { isTrend } from './localTrend.ts'
import { ownWeighing } from './ownWeighing.ts'
import type { Weighing } from '../../plans/growth/weighing.ts'
import type { WeightCourse } from './weightLevel.ts'
import { loggedOf } from './weightLevel.ts'
import { filtered, smoothedOver } from './weightTrend.ts'

/** Levels of ln grams on each day with a reading, their variances as this one's readings scatter, and where the
 * last of them are heading. */
export interface WeightPath {
  days: Smoothed[]
  /** ln grams a day. */
  slope: number | null
  slopeSd: number
  /** What is believed after the last reading. */
  belief: Belief | null
  /** How this one's readings scatter. */
  weighing: Weighing
}

/** The smoothed course with its doubts, as far as this one's own readings scatter. */
export function weightPath({ runs }: WeightCourse, sheet: Weighing): WeightPath {
  const logged = runs.map((run) => run.map(loggedOf))
  const weighing = ownWeighing(logged, sheet)
  const filteredRuns = logged.map((run) => filtered(run, weighing))
  const belief = filteredRuns.at(-1)?.beliefs.at(-1) ?? null
  const trend = belief && isTrend(belief) ? belief : null
  return {
    days: filteredRuns.flatMap((one) => smoothedOver(one, weighing)),
    slope: trend?.slope ?? null,
    slopeSd: Math.sqrt(trend?.ss ?? 0),
    belief,
    weighing,
  }
}

/** From one day of the path to its last: how far the level went, in ln grams, and in standard deviations. */
export interface Change {
  from: Smoothed
  to: Smoothed
  by: number
  sd: number
}

export function changeSince(from: Smoothed, to: Smoothed): Change {
  return { from, to, by: to.level - from.level, sd: Math.sqrt(from.levelVar + to.levelVar) }
}

/** Change in a week, as a share, with its 95 % interval. */
export interface PerWeek {
  low: number
  mid: number
  high: number
}

/** A fall that goes on. */
export interface Fall {
  /** From when on it fell. */
  since: Day
  /** ln grams lost since then. */
  lost: number
  best: { day: Day; grams: number }
  /** Shares below the best of the year, and a week with the limits of 95 %. */
  belowBest: number
  perWeek: PerWeek | null
  /** Its rate alone is beyond chance. */
  fastBeyondChance: boolean
  /** What lies below the best is beyond all doubt, and goes on. */
  sure: boolean
}

/** The fall has to be seen in so many days or weighings. */
const LATELY_DAYS = 56
const LATELY_READINGS = 3
const YEAR = 365
/** A weight so old says nothing of today. */
const STALE_DAYS = 120
/** Standard deviations, and shares, from which a fall lately, or one from the best of the year that goes on, is
 * beyond chance. Of one that should be gaining, standing still is unlikely already: less of a fall is. */
const LATELY = { sds: 1.8, sdsOfGrowing: 0.8, share: 0.03 }
const FROM_BEST = { sds: 2.4, share: 0.04, goesOn: 0.8 }
const SURE = { sds: 2.8, goesOn: 1.3 }
export const TWO_SIDED_95 = 1.96

function latelyOf(days: readonly Smoothed[]): Smoothed[] {
  const last = days.at(-1)?.day ?? 0
  const third = days.at(-1 - LATELY_READINGS)?.day ?? last
  const from = Math.min(last - LATELY_DAYS, third)
  return days.filter(({ day }) => day >= from && day < last)
}

/** Null where there is no slope yet. */
export function perWeekOf({ slope, slopeSd }: WeightPath): PerWeek | null {
  if (slope === null) return null
  const week = (perDay: number) => Math.expm1(7 * perDay)
  return {
    low: week(slope - TWO_SIDED_95 * slopeSd),
    mid: week(slope),
    high: week(slope + TWO_SIDED_95 * slopeSd),
  }
}

/** The best of the year that several readings bear: the largest of many noisy levels is no level at all, so each is
 * taken with its neighbours, by their median. */
export function borneBest(
  days: readonly Smoothed[],
  mayBeBest: (day: Day) => boolean = () => true,
): Smoothed | null {
  const borne = days.map((one, at) => {
    const near = days.slice(Math.max(0, at - 1), at + 2).sort((a, b) => a.level - b.level)
    // Of two, the lower.
    return { ...one, level: (near[Math.ceil(near.length / 2) - 1] ?? one).level }
  })
  return borne
    .filter(({ day }) => mayBeBest(day))
    .reduce<Smoothed | null>((most, one) => (most && most.level >= one.level ? most : one), null)
}

function steepest(changes: readonly Change[]): Change | null {
  return changes.reduce<Change | null>(
    (worst, one) => (worst === null || one.by / one.sd < worst.by / worst.sd ? one : worst),
    null,
  )
}

export interface FallOptions {
  /** It is not grown yet, and should be gaining. */
  grows: boolean
  /** Weights of before are of another body, as those before laying are. */
  since?: Day | null
  /** Whether a weighing of a day may be the best of the year: none with eggs or a full gut may. */
  mayBeBest?: (day: Day) => boolean
}

/** Whether, and since when, the weight falls beyond chance on a day. Null where it does not, or nobody weighed
 * lately. */
export function fallOn(
  path: WeightPath,
  day: Day,
  { grows, since = null, mayBeBest = () => true }: FallOptions,
): Fall | null {
  const { slope, slopeSd } = path
  const days = path.days.filter((one) => since === null || one.day >= since)
  const last = days.at(-1)
  if (!last || day - last.day > STALE_DAYS || (slope !== null && slope >= 0)) return null
  const year = days.filter((one) => one.day > day - YEAR)
  const lately = steepest(latelyOf(days).map((from) => changeSince(from, last)))
  const best = borneBest(year, mayBeBest)
  if (!lately || lately.by >= 0 || !best || best.day === last.day) return null
  const fromBest = changeSince(best, last)
  const sds = -lately.by / lately.sd
  const isLate = sds >= (grows ? LATELY.sdsOfGrowing : LATELY.sds) && -lately.by >= LATELY.share
  const goesOn =
    -fromBest.by / fromBest.sd >= FROM_BEST.sds && -fromBest.by >= FROM_BEST.share && sds >= FROM_BEST.goesOn
  if (!isLate && !goesOn) return null
  const from = isLate ? lately : fromBest
  return {
    since: from.from.day,
    lost: -from.by,
    best: { day: best.day, grams: Math.exp(best.level) },
    belowBest: -Math.expm1(fromBest.by),
    perWeek: perWeekOf(path),
    fastBeyondChance: slope !== null && slope + TWO_SIDED_95 * slopeSd < 0,
    sure: -fromBest.by / fromBest.sd >= SURE.sds && sds >= SURE.goesOn,
  }
}
