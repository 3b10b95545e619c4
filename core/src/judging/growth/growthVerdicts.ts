import { cameOn } from '../../facts/residents/stayState.ts'
import { studentQuantile } from '../../basics/statistics/studentQuantile.ts'
import { FAT } from '../condition/conditionAdvice.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Explanations } from '../verdicts/explainedBy.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { freshSince } from '../weightTrend/freshStart.ts'
import type { Change, WeightPath } from '../weightTrend/fall.ts'
import { changeSince } from '../weightTrend/fall.ts'
import type { Smoothed } from '../weightTrend/localTrend.ts'
import { weightFact } from '../weightTrend/weightFact.ts'
import { growthOver } from '../../plans/growth/expectedGrowth.ts'
import type { ExpectedGrowth, Pace } from '../../plans/growth/expectedGrowth.ts'

/** Standard deviations of a one-sided judgement of 95 %, and of one that is nearly certain. */
const ONE_SIDED_95 = 1.645
const SURE = 2.2
const STALE_DAYS = 90
const YEAR = 365

/** Stretches over which growth is judged, as shares of the time to grow up, in days. */
const YOUNG = { share: 0.05, least: 28, most: 120 }
const STANDSTILL = { share: 0.08, least: 42, most: 240 }
const GROWN = 150
/** Of one that is scored fat shorter stretches tell, too, in days. */
const OF_THE_FAT = [60, 90, GROWN]
/** Stretches over which growth that stops is seen, in days: the shorter sooner, the longer where it is weighed
 * seldom. */
const STRETCHES = [42, 60, 90, 120, 160, 200]

/** So far above what the sheet calls fast is too fast. */
const TOO_FAST = 1.3
const SLACK = 0.03
/** Growth slows down of itself by so much from one stretch to the next. */
const SLOWS_DOWN = 0.6
/** Faster than its own course before, and than the middle of what is usual, by so much. */
const OWN_PACE = 1.5
const SPEEDS_UP = 1.2
/** A grown animal's weight goes up and down by so much without being fat, in ln grams. */
const GROWN_MAY_GAIN = 0.12
const FAT_MAY_GAIN = 0.04
/** What came in light, or has just laid or rested, regains its weight for so long, up to so much more than the middle
 * of its kind. */
const REGAINS_DAYS = 75
const USUAL = 1.15
/** Above the best it ever had, in ln grams, it does not only regain what it lost. */
const NEW_HIGH = 0.02
/** Of the least that is expected, so little is standing still, where so much was expected. */
const STANDS_STILL = 0.35
const WORTH_EXPECTING = 0.06
/** Of the lightest grown weight, below which one is still growing. */
const STILL_YOUNG = 0.85
const THIN = 2.5
/** Weighings on a line that tell a slope and a scatter. */
const LEAST_ON_A_LINE = 4

function within(share: { share: number; least: number; most: number }, { days }: ExpectedGrowth): number {
  return Math.min(share.most, Math.max(share.least, share.share * days[1]))
}

/** The change over about so many days up to the last weighing; null where the record is shorter. */
function changeOver({ days }: WeightPath, span: number): Change | null {
  const last = days.at(-1)
  if (!last) return null
  const from = days.filter(({ day }) => day <= last.day - span).at(-1)
  return from && last.day - from.day <= span * 2.5 ? changeSince(from, last) : null
}

function isGrown({ day, plan, state, weight }: Evidence, growth: ExpectedGrowth): boolean {
  const hatched = state.register?.hatchedOn ?? null
  const [light, heavy] = growth.grown
  // Old enough and still light, it goes on growing.
  const isLight = weight !== null && weight.grams < light * STILL_YOUNG
  if (hatched !== null) return day - hatched > growth.days[1] && !isLight
  return growth.last && weight !== null && weight.grams >= Math.sqrt(light * heavy) && plan.next === undefined
}

/** Its last score that still says something of today; null where nobody scored it, or only before it laid or rested. */
function scoreOf({ day, plan, state }: Evidence): number | null {
  const scored = state.health.condition
  const since = freshSince(state, day) ?? -Infinity
  if (!scored || scored.day < since || day - scored.day > plan.standing.scoreDays * 2) return null
  return scored.score
}

/** What one that is grown may gain without being fat, in ln grams: less once it is scored fat, and as much as it takes to
 * be of a usual weight for one that came in light. Infinity where any gain is welcome. */
function grownMayGain(
  { from, to }: Change,
  { state, day }: Evidence,
  { growth, score }: { growth: ExpectedGrowth; score: number | null },
): number {
  if (score !== null && score >= FAT) return FAT_MAY_GAIN
  const came = cameOn(state.stay)
  const cameLight = came !== null && from.day - came < REGAINS_DAYS
  const startedAnew = freshSince(state, day)
  const regains = cameLight || (startedAnew !== null && from.day - startedAnew < REGAINS_DAYS)
  const [light, heavy] = growth.grown
  return regains && Math.exp(to.level) < Math.sqrt(light * heavy) * USUAL ? Infinity : GROWN_MAY_GAIN
}

/** The path since its body became another one. */
function sinceFresh(path: WeightPath, { state, day }: Evidence): WeightPath {
  const since = freshSince(state, day)
  return since === null ? path : { ...path, days: path.days.filter((one) => one.day >= since) }
}

function highestBefore(days: readonly Smoothed[], day: number): number {
  return days
    .filter((one) => one.day <= day && one.day > day - 2 * YEAR)
    .reduce((most, { level }) => Math.max(most, level), -Infinity)
}

function because(
  { from, by, to }: Change,
  { weight, state, day, plan }: Evidence,
  growth: ExpectedGrowth,
): Reason[] {
  const scored = state.health.condition
  return [
    { fact: 'gained', share: Math.expm1(by), since: from.day, day: to.day },
    ...(weight ? [weightFact(weight)] : []),
    ...(scored && day - scored.day < YEAR
      ? [{ fact: 'condition', score: scored.score, by: scored.by, day: scored.day } as const]
      : []),
    { rule: 'growth', ...growth },
    { source: fromSheet(plan) },
  ]
}

/** How much one that grows up may gain: what the sheet calls fast and a little more, or, where it grew steadily
 * before, not much more than that went on and than is usual at its size. */
function youngMayGain(
  { from, to, by }: Change,
  path: WeightPath,
  { growth, isFat }: { growth: ExpectedGrowth; isFat: boolean },
): number {
  const days = to.day - from.day
  const over = (pace: Pace) => growthOver(growth, Math.exp(from.level), days, pace)
  // Scored fat, it may grow as the middle of its kind and no faster.
  const fast = isFat ? over('middle') + SLACK : over('fastest') * TOO_FAST + SLACK
  const own = ownPace(path, from, days)
  if (own === null || own < over('slowest') * STANDS_STILL) return fast
  const middle = over('middle')
  // Those that speed up, where growth slows down, may not go far beyond the middle of their kind.
  const speedsUp = by > own * SPEEDS_UP ? middle * OWN_PACE + SLACK : Infinity
  return Math.min(fast, speedsUp, Math.max(own * OWN_PACE + SLACK, middle))
}

/** ln grams that it would gain in so many days if it went on as in as many days before; null where the record does
 * not reach back so far. */
function ownPace({ days: path }: WeightPath, from: Smoothed, days: number): number | null {
  const before = path.filter(({ day }) => day <= from.day - days)
  const began = before.at(-1)
  if (!began || before.length < 2) return null
  return ((from.level - began.level) / (from.day - began.day)) * days
}

/** Young that grow much faster than the sheet calls fast, or than they did, or grown ones that go on gaining above the
 * best they had: less of it is too much once the body is scored fat. */
function gainingFast(evidence: Evidence, path: WeightPath, growth: ExpectedGrowth): Verdict | null {
  const score = scoreOf(evidence)
  const isThin = score !== null && score <= THIN
  if (isThin || evidence.holds.some(({ hold }) => hold === 'gravid')) return null
  const grown = isGrown(evidence, growth)
  const since = sinceFresh(path, evidence)
  const isFat = score !== null && score >= FAT
  const spans = grown ? (isFat ? OF_THE_FAT : [GROWN]) : [within(YOUNG, growth)]
  const found = spans.map((span) => {
    const change = changeOver(since, span)
    if (!change) return null
    const before = path.days.filter(({ day }) => day <= change.from.day)
    if (change.to.level - highestBefore(before, change.from.day) < NEW_HIGH) return null
    const expected = grown
      ? grownMayGain(change, evidence, { growth, score })
      : youngMayGain(change, path, { growth, isFat })
    return change.by - (isFat ? ONE_SIDED_95 : SURE) * change.sd > expected ? { change, expected } : null
  })
  const [most] = found.filter((one) => one !== null)
  if (!most) return null
  const { change, expected } = most
  return {
    severity: 'watch',
    since: change.from.day,
    what: {
      code: 'gainingFast',
      gained: Math.expm1(change.by),
      expected: Math.expm1(expected),
      days: change.to.day - change.from.day,
      grown,
    },
    because: because(change, evidence, growth),
  }
}

/** What one of a weight would have gained at least: as the slowest of its kind, or, below the middle of the grown
 * weights, as it went on before, slower as it gets larger. */
function leastGain({ from, to }: Change, path: WeightPath, growth: ExpectedGrowth, grams: number): number {
  const days = to.day - from.day
  const [light, heavy] = growth.grown
  const slowest = grams < light * STILL_YOUNG ? growthOver(growth, Math.exp(from.level), days, 'slowest') : 0
  const own = grams < Math.sqrt(light * heavy) * STILL_YOUNG ? (ownPace(path, from, days) ?? 0) : 0
  return Math.max(slowest, own * SLOWS_DOWN)
}

/** The most that was gained over a stretch, in ln grams, one-sided at 95 %, by a line through the weighings of that
 * stretch alone: how they scattered while it still grew in leaps says nothing of one that stands still. Infinity for
 * too few of them. */
function mostGained({ from, to }: Change, { course, plan }: Evidence): number {
  const readings = course.runs.flat().filter(({ day }) => day >= from.day && day <= to.day)
  const n = readings.length
  if (n < LEAST_ON_A_LINE) return Infinity
  const days = readings.reduce((sum, { day }) => sum + day, 0) / n
  const level = readings.reduce((sum, { grams }) => sum + Math.log(grams), 0) / n
  const across = readings.reduce((sum, { day }) => sum + (day - days) ** 2, 0)
  const slope = readings.reduce((sum, { day, grams }) => sum + (day - days) * Math.log(grams), 0) / across
  const rest = readings.reduce(
    (sum, { day, grams }) => sum + (Math.log(grams) - level - slope * (day - days)) ** 2,
    0,
  )
  // No balance is better than its sheet says.
  const scatter = Math.max(plan.weighing.r, Math.sqrt(rest / (n - 2)))
  const limit = studentQuantile(0.95, n - 2) * (scatter / Math.sqrt(across))
  return (slope + limit) * (to.day - from.day)
}

/** Whether standing still over a stretch is too little, and how much would have been expected. */
function standsStill(
  evidence: Evidence,
  path: WeightPath,
  { growth, grams, span }: { growth: ExpectedGrowth; grams: number; span: number },
): { change: Change; expected: number } | null {
  const change = changeOver(path, span)
  if (!change) return null
  const expected = leastGain(change, path, growth, grams)
  if (expected < WORTH_EXPECTING) return null
  const most = Math.min(change.by + ONE_SIDED_95 * change.sd, mostGained(change, evidence))
  return most < expected * STANDS_STILL ? { change, expected } : null
}

/** Young that stand still for so long that even the slowest would have grown, or that stopped growing as they did
 * before: the shortest stretch that shows it. */
function notGrowing(
  evidence: Evidence,
  whole: WeightPath,
  growth: ExpectedGrowth,
  explanations: Explanations,
): Verdict | null {
  const { weight } = evidence
  if (isGrown(evidence, growth) || !weight) return null
  const path = sinceFresh(whole, evidence)
  const spans = [...new Set([...STRETCHES, within(STANDSTILL, growth)])].sort((a, b) => a - b)
  const { grams } = weight
  const found = spans
    .map((span) => standsStill(evidence, path, { growth, grams, span }))
    .find((one) => one !== null)
  if (!found) return null
  const { change, expected } = found
  const days = change.to.day - change.from.day
  // Those that lie in winter rest, fast or have just come are not of a mind to grow.
  const paused = explanations().some(
    ({ by, since, until }) =>
      (by === 'winterRest' || by === 'fasting' || by === 'season' || by === 'moved') &&
      Math.min(until, change.to.day) - Math.max(since, change.from.day) > days / 3,
  )
  if (paused) return null
  return {
    severity: 'watch',
    since: change.from.day,
    what: { code: 'notGrowing', gained: Math.expm1(change.by), expected: Math.expm1(expected), days },
    because: because(change, evidence, growth),
  }
}

/** Whether one animal grows or gains as the sheet and its own course let expect. Nothing where the sheet says no
 * weights, or nobody weighed it lately. */
export function growing(evidence: Evidence, path: WeightPath, explanations: Explanations): Verdict | null {
  const { growth } = evidence.plan
  const last = path.days.at(-1)
  if (!growth || !last || evidence.day - last.day > STALE_DAYS) return null
  return gainingFast(evidence, path, growth) ?? notGrowing(evidence, path, growth, explanations)
}
