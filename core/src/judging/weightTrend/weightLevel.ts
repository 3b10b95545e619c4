import type { WeightReading } from '../../facts/growth/growthState.ts'
import type { Range } from '../../basics/range.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Belief, Logged } from './localTrend.ts'
import { believing, expectedReading, isTrend } from './localTrend.ts'
import type { Weighing } from '../../plans/growth/weighing.ts'

/** A reading is suspect when its standardised innovation exceeds this. */
const GATE = 4
/** A later reading within this many days can vouch for a suspect one. */
const AGREES_WITHIN_DAYS = 30
/** Laid, born or woken, one weighs so many times less or more at most, in ln grams. */
const CHANGED = Math.log(2.2)
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

/** The weighings of one animal, judged: what counts, and what was set aside. */
export interface WeightCourse {
  /** Null without a reading that counts. */
  level: WeightLevel | null
  belief: Belief | null
  /** Those that count, oldest first, in runs: a new one begins where a trend was overthrown. */
  runs: readonly (readonly WeightReading[])[]
  suspects: readonly WeightReading[]
}

/** A full gut, eggs or a skin just off make a weighing scatter twice as far. */
const WORTH_WITH_CONTEXT = 0.25
/** One written down as about so much, some three times as far. */
const WORTH_OF_ABOUT = 0.1

/** A weighing as the trend takes it. */
export function loggedOf({ day, grams, context, about }: WeightReading): Logged {
  const worth = about ? WORTH_OF_ABOUT : context?.length ? WORTH_WITH_CONTEXT : null
  return { day, y: Math.log(grams), ...(worth !== null && { worth }) }
}

function agree(a: WeightReading, b: WeightReading, r: number): boolean {
  return Math.abs(Math.log(a.grams / b.grams)) <= GATE * r * Math.SQRT2
}

function vouchedFor(reading: WeightReading, next: WeightReading | undefined, r: number): boolean {
  if (reading.confirmed) return true
  return next !== undefined && next.day - reading.day <= AGREES_WITHIN_DAYS && agree(reading, next, r)
}

/** As far as two weighings so many days apart can lie from each other, in ln grams. */
export function mostGrowth(days: number, r: number): number {
  return Math.min(MOST_GROWTH, (GROWTH_A_MONTH * days) / 30) + GATE * r * Math.SQRT2
}

/** Further from what was believed than an animal grows or wastes in that time. */
function beyondGrowth(before: Logged, { day, grams }: WeightReading, r: number): boolean {
  return Math.abs(Math.log(grams) - before.y) > mostGrowth(day - before.day, r)
}

/** What a first weight is held against: what one of its stage can weigh. */
type Bounds = Range | undefined

function isOutside({ grams }: WeightReading, bounds: Bounds): boolean {
  return bounds !== undefined && (grams < bounds[0] || grams > bounds[1])
}

function isBeyond(
  belief: Belief | null,
  reading: WeightReading,
  weighing: Weighing,
  bounds: Bounds,
): boolean {
  if (!belief) return isOutside(reading, bounds)
  if (isTrend(belief)) {
    const logged = loggedOf(reading)
    const expected = expectedReading(belief, logged, weighing)
    const surprise = expected && (logged.y - expected.mean) / Math.sqrt(expected.variance)
    if (surprise !== null && Math.abs(surprise) > GATE) return true
  }
  // After months unweighed nearly anything lies within the trend's own doubt; a slip still does not grow.
  return beyondGrowth({ day: belief.day, y: belief.level }, reading, weighing.r)
}

/** Whether what was set aside and the next reading speak together against the belief: both could be of one
 * growing animal, and the belief is further off than they are from each other. */
function outvotes(
  aside: WeightReading,
  reading: WeightReading,
  belief: Belief | null,
  weighing: Weighing,
): boolean {
  if (beyondGrowth(loggedOf(aside), reading, weighing.r)) return false
  if (!belief) return true
  if (isBeyond(belief, reading, weighing, undefined)) return true
  const apart = (y: number) => Math.abs(Math.log(reading.grams) - y)
  return !isTrend(belief) && apart(loggedOf(aside).y) < apart(belief.level)
}

function inOrder(readings: readonly WeightReading[]): WeightReading[] {
  return readings.filter(({ grams }) => grams > 0).sort((a, b) => a.day - b.day)
}

interface CourseOptions {
  bounds?: Bounds
  /** Days from which weights begin anew, ascending. */
  starts?: readonly Day[] | undefined
}

/** Takes readings in one after the other, setting aside what cannot be. */
class Gate {
  belief: Belief | null = null
  /** The readings behind the belief. */
  run: WeightReading[] = []
  readonly runs: WeightReading[][] = []
  readonly suspects = new Set<string>()
  aside = null as WeightReading | null
  /** ln grams believed before the last fresh start. */
  #before: number | null = null
  readonly #starts: Day[]
  readonly #weighing: Weighing
  readonly #bounds: Bounds

  constructor(weighing: Weighing, { bounds, starts = [] }: CourseOptions) {
    this.#weighing = weighing
    this.#bounds = bounds
    this.#starts = [...starts]
  }

  /** What was weighed before a fresh start was true then, and says nothing of what comes. */
  #startAfresh(day: Day): void {
    const passed = this.#starts.filter((start) => start <= day).length
    if (passed === 0) return
    this.#starts.splice(0, passed)
    if (!this.belief) return
    this.#before = this.belief.level
    this.runs.push(this.run)
    this.belief = null
    this.run = []
    this.aside = null
  }

  #isBeyond(reading: WeightReading): boolean {
    if (this.belief || this.#before === null)
      return isBeyond(this.belief, reading, this.#weighing, this.#bounds)
    return Math.abs(Math.log(reading.grams) - this.#before) > CHANGED
  }

  #accept(reading: WeightReading): void {
    this.belief = believing(this.belief, loggedOf(reading), this.#weighing)
    this.run.push(reading)
    this.aside = null
  }

  #beginAnew(from: readonly WeightReading[]): void {
    // One day's weight that the next ones do not bear out was the slip; a trend was true in its time.
    if (this.belief && isTrend(this.belief)) this.runs.push(this.run)
    else for (const { uid, confirmed } of this.run) if (!confirmed) this.suspects.add(uid)
    for (const { uid } of from) this.suspects.delete(uid)
    this.belief = null
    this.run = []
    for (const reading of from) this.#accept(reading)
  }

  take(reading: WeightReading, next: WeightReading | undefined): void {
    this.#startAfresh(reading.day)
    const { aside, belief } = this
    if (aside && outvotes(aside, reading, belief, this.#weighing)) return this.#beginAnew([aside, reading])
    const isDoubted = reading.doubted ?? this.#isBeyond(reading)
    if (!isDoubted) return this.#accept(reading)
    if (vouchedFor(reading, next, this.#weighing.r)) {
      return belief && !isTrend(belief) ? this.#beginAnew([reading]) : this.#accept(reading)
    }
    this.suspects.add(reading.uid)
    this.aside = reading
  }
}

/** The weighings by a local linear trend on ln grams, suspect ones set aside.
 *
 * A reading beyond the gate, or one that the keeper doubted, is set aside unless it was confirmed at entry or the next one within 30 days
 * agrees with it. Before there is a trend the gate is what could be growth, and for the very first reading what
 * one of its stage can weigh. Two set aside in a row that could be of one growing animal, however far apart, are
 * the way back: then it is the earlier belief that was wrong, and the trend starts over with them. So one slip,
 * wherever it stands, is outvoted by the two readings after it. After a fresh start, as after laying, the trend begins
 * anew and the first reading is held against nothing but a slip. */
export function weightCourse(
  readings: readonly WeightReading[],
  weighing: Weighing,
  options: CourseOptions = {},
): WeightCourse {
  const kept = inOrder(readings)
  const gate = new Gate(weighing, options)
  for (const [index, reading] of kept.entries()) gate.take(reading, kept[index + 1])
  const { belief, run, runs } = gate
  const suspects = kept.filter(({ uid }) => gate.suspects.has(uid))
  const level = belief && {
    grams: Math.exp(belief.level),
    day: belief.day,
    readings: kept.length,
    suspects: suspects.map(({ uid }) => uid),
  }
  return { level, belief, runs: [...runs, run], suspects }
}

/** The present weight with meals, the scale and slips taken out. Null without a reading that counts. */
export function weightLevel(
  readings: readonly WeightReading[],
  weighing: Weighing,
  bounds?: Range,
): WeightLevel | null {
  return weightCourse(readings, weighing, { bounds }).level
}
