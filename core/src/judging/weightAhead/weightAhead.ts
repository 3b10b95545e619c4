import type { ExpectedGrowth } from '../../plans/growth/expectedGrowth.ts'
import { growthOver } from '../../plans/growth/expectedGrowth.ts'
import type { GrowthModel } from '../growthCurve/curves.ts'
import type { NoCurve } from '../growthCurve/growthFit.ts'
import { bandOn, bestGrowthFit, reachedBy } from '../growthCurve/growthFit.ts'
import type { WeightReading } from '../../facts/growth/growthState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { PerWeek, WeightPath } from '../weightTrend/fall.ts'
import { perWeekOf, weightPath } from '../weightTrend/fall.ts'
import type { WeightBand } from '../weightTrend/weightBand.ts'
import { weightBand } from '../weightTrend/weightBand.ts'
import { weightCourse } from '../weightTrend/weightLevel.ts'
import { noticedAfter } from './noticedAfter.ts'
import type { OffCurve, WeightHistory } from './offCurve.ts'
import { offCurveOf } from './offCurve.ts'

export interface WeightAheadInput extends WeightHistory {
  /** What the sheet expects of its growth. */
  growth?: ExpectedGrowth | undefined
  /** It is not in its last stage. */
  grows?: boolean
  /** At this weight its next stage begins, grams. */
  nextStage?: number | undefined
  day: Day
  /** The last day that is drawn, unless a weight is reached soon after it. */
  until: Day
}

/** What if it were otherwise. */
export interface WhatIf {
  /** Readings left out, by the uid of their entry. */
  without?: readonly string[]
  /** Days from one weighing to the next. */
  every?: number | undefined
  /** Another weight to reach, grams. */
  target?: number | undefined
}

export interface CurvePoint {
  day: Day
  grams: number
  low: number
  high: number
}

/** A growth curve on each of some days with its 95 % band, and which shape it has. */
export interface Curve {
  model: GrowthModel
  points: CurvePoint[]
  /** Its grown weight, grams, with the standard error. */
  grown: number
  grownSe: number
  /** Another shape would do nearly as well. */
  undecided: boolean
}

/** When a weight is reached. */
export interface Reaching {
  grams: number
  /** Null where the curve never does. */
  on: { day: Day; low: Day; high: Day } | null
  /** Already. */
  passed: boolean
}

export interface WeightAhead {
  /** The last day that curve and expectation are drawn to: until the weight is reached, where that is near. */
  until: Day
  band: WeightBand[]
  suspects: string[]
  /** The highest smoothed weight of the last year. */
  best: { day: Day; grams: number } | null
  /** Change in a week as a share, with its 95 % interval. */
  perWeek: PerWeek | null
  curve: Curve | { refused: NoCurve }
  /** Null where it keeps to its curve, or had none before. */
  offCurve: OffCurve | null
  /** Between the slowest and the fastest that the sheet calls usual, from the first weighing on. */
  expected: { day: Day; low: number; high: number }[]
  target: Reaching | null
  /** Weighed so often, a loss of three per cent a week is beyond chance after so many days; null where that takes
   * longer than half a year. */
  noticed: { every: number; days: number | null } | null
}

const YEAR = 365
/** So far ahead a curve is still drawn for the sake of a weight that it reaches: further on, the weights of today
 * would lie flat below it. */
const NEAR_DAYS = 120
/** A curve is drawn in so many steps. */
const STEPS = 80

function stepsOver(from: Day, to: Day): Day[] {
  const step = Math.max(1, Math.ceil((to - from) / STEPS))
  const days: Day[] = []
  for (let day = from; day < to; day += step) days.push(day)
  return [...days, to]
}

function bestOf({ days }: WeightPath, day: Day): WeightAhead['best'] {
  const year = days.filter((one) => one.day > day - YEAR)
  const [first, ...rest] = year
  if (!first) return null
  const best = rest.reduce((most, one) => (one.level > most.level ? one : most), first)
  return { day: best.day, grams: Math.exp(best.level) }
}

/** Until when a curve is drawn, reaching a weight within some days of today. */
function drawnUntil({ day, until }: WeightAheadInput, reached: ReturnType<typeof reachedBy>): Day {
  if (!reached || reached.day < day || reached.day > day + NEAR_DAYS) return until
  return Math.max(until, Math.ceil(Math.min(reached.hi, day + NEAR_DAYS)))
}

function expectedFrom(
  first: WeightReading | undefined,
  { growth, until }: Pick<WeightAheadInput, 'growth' | 'until'>,
): WeightAhead['expected'] {
  if (!growth || !first) return []
  return stepsOver(first.day, until).map((day) => {
    const grown = (pace: 'slowest' | 'fastest') =>
      first.grams * Math.exp(growthOver(growth, first.grams, day - first.day, pace))
    return { day, low: grown('slowest'), high: grown('fastest') }
  })
}

/** What the whole record of weights says of the course so far and of what comes: the trend with its band, the growth
 * curve with its band, what the sheet expects, when a weight is reached, and how soon a loss would be seen; also
 * without some of the readings, with another cadence, or towards another weight.
 *
 * Curve: see `growthFit`, over the readings that count. Readings in any order. */
export function weightAhead(
  input: WeightAheadInput,
  { without = [], every, target }: WhatIf = {},
): WeightAhead {
  const { weighing, day, until, bounds, starts } = input
  const left = new Set(without)
  const course = weightCourse(
    input.readings.filter(({ uid }) => !left.has(uid)),
    weighing,
    { bounds, starts },
  )
  const counted = course.runs.flat()
  const path = weightPath(course, weighing)
  const found = bestGrowthFit(counted.map((one) => ({ day: one.day, value: one.grams })))
  const fit = 'refused' in found ? null : found.best
  const wanted = target ?? input.nextStage
  const reached = fit && wanted !== undefined ? reachedBy(fit, wanted) : null
  const now = course.level?.grams ?? null
  const drawn = drawnUntil(input, reached)
  return {
    until: drawn,
    band: weightBand(path, until),
    suspects: course.suspects.map(({ uid }) => uid),
    best: bestOf(path, day),
    perWeek: perWeekOf(path),
    curve:
      'refused' in found
        ? found
        : {
            model: found.best.model,
            grown: found.best.A,
            grownSe: found.best.se.A,
            undecided: found.undecided,
            points: stepsOver(counted[0]?.day ?? day, drawn).map((on) => {
              const { value, lo, hi } = bandOn(found.best, on)
              return { day: on, grams: value, low: Math.max(0, lo), high: hi }
            }),
          },
    offCurve: offCurveOf(path, counted),
    expected: expectedFrom(counted[0], { growth: input.growth, until: drawn }),
    target:
      wanted === undefined
        ? null
        : {
            grams: wanted,
            on: reached && { day: reached.day, low: reached.lo, high: reached.hi },
            passed: now !== null && now >= wanted,
          },
    noticed: every === undefined ? null : { every, days: noticedAfter(course, input, every) },
  }
}
