import { fromSheet } from '../../plans/plan/source.ts'
import { rowOn } from '../../facts/feeding/offerSum.ts'
import { firstOfLoss } from '../health/signsShown.ts'
import type { Reason } from '../reasons/reason.ts'
import { restRule } from '../winterRest/restRule.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { ExplainedBy, Explanation, Explanations } from '../verdicts/explainedBy.ts'
import { daysWithoutFood, explains } from '../verdicts/explanation.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { Fall, WeightPath } from './fall.ts'
import { fallOn } from './fall.ts'
import type { Smoothed } from './localTrend.ts'
import { weightFact } from './weightFact.ts'
import { weightLevel } from './weightLevel.ts'

/** Below the best of the year, or lost in a week beyond chance, from which somebody has to act. */
const ACT_BELOW_BEST = 0.1
const ACT_A_WEEK = 0.03
/** Lost before what explains the rest was noticed, that needs no explanation of its own. */
const BEFORE_IT = 0.03
/** A gain so large just before, and a fall so small, is the end of a spurt. */
const SPURT = { days: 60, gain: 0.08, back: 0.04 }

/** Readings that nothing has settled yet: each is asked about by its name. */
export function suspectWeights({ plan, course }: Evidence): Verdict[] {
  const { level, runs, suspects } = course
  const last = runs.at(-1)?.at(-1)
  const bounds = plan.bounds?.grams
  return suspects
    .filter(({ day }) => last === undefined || day >= last.day)
    .map(({ grams, uid, day }) => ({
      severity: 'watch',
      since: day,
      what: { code: 'suspectWeight', grams, level: level?.grams ?? null, uid },
      because: level
        ? [weightFact(level)]
        : [
            { fact: 'noWeight' },
            ...(bounds ? [{ rule: 'plausible', low: bounds.range[0], high: bounds.range[1] } as const] : []),
          ],
    }))
}

function lossFacts(fall: Fall, { weight }: Evidence): Reason[] {
  return [
    { fact: 'highest', grams: fall.best.grams, day: fall.best.day },
    ...(weight ? [weightFact(weight)] : []),
    ...(fall.perWeek ? [{ fact: 'perWeek', ...fall.perWeek } as const] : []),
  ]
}

/** A level of the path on a day: the one before it, or the first. */
function levelAt(days: readonly Smoothed[], day: number): number {
  return (days.filter((one) => one.day <= day).at(-1) ?? days[0])?.level ?? NaN
}

/** A fall back after much was gained at once: the gut empties, the growth pauses. */
function spurtBefore({ days }: WeightPath, fall: Fall): Explanation | null {
  const peak = days.find(({ day }) => day === fall.since)
  const before = days.filter(({ day }) => day < fall.since && day >= fall.since - SPURT.days)[0]
  if (!peak || !before || fall.lost > SPURT.back || peak.level - before.level < SPURT.gain) return null
  return {
    by: 'spurt',
    since: before.day,
    until: Infinity,
    allows: SPURT.back,
    because: [
      { fact: 'gained', share: Math.expm1(peak.level - before.level), since: before.day, day: peak.day },
    ],
  }
}

/** What explains a fall: something that began with it, or before any of it that counts. */
function explanationOf(
  fall: Fall,
  path: WeightPath,
  { day }: Evidence,
  explanations: readonly Explanation[],
): Explanation | null {
  const spurt = spurtBefore(path, fall)
  if (spurt) return spurt
  const from = levelAt(path.days, fall.since)
  const inTime = explanations.filter(
    ({ since }) => since <= fall.since || from - levelAt(path.days, since) <= BEFORE_IT,
  )
  const last = path.days.at(-1)?.day ?? day
  return explains(
    inTime.map((one) => ({ ...one, since: Math.min(one.since, fall.since) })),
    { since: fall.since, day: Math.min(day, last) },
  )
}

/** What takes weight whether or not it eats. */
const WITHOUT_FASTING: readonly ExplainedBy[] = [
  'laid',
  'gravid',
  'winterRest',
  'fasting',
  'incubating',
  'founding',
  'spurt',
]
/** A little is lost with the skin, or with the nerves, by one that eats all the same. */
const WHILE_EATING = 0.04
/** Days without a meal, or refusals, from which one eats less than it did. */
const FASTS = { days: 14, refusals: 2 }

function fasts(evidence: Evidence): boolean {
  const days = daysWithoutFood(evidence)
  const rows = Object.values(evidence.state.feeding.lines).map(
    (line) => rowOn(line, evidence.day)?.refusals ?? 0,
  )
  return (days !== null && days >= FASTS.days) || rows.some((inRow) => inRow >= FASTS.refusals)
}

/** The share of the weight whose loss an explanation covers: most of them explain a fast, and only with it a loss. */
function allowed({ by, allows }: Explanation, evidence: Evidence): number {
  return WITHOUT_FASTING.includes(by) || fasts(evidence) ? allows : Math.min(allows, WHILE_EATING)
}

function isGrave({ belowBest, perWeek, fastBeyondChance, sure }: Fall): boolean {
  return (
    (sure && belowBest >= ACT_BELOW_BEST) ||
    (fastBeyondChance && perWeek !== null && perWeek.mid <= -ACT_A_WEEK)
  )
}

/** The share an explanation covers, and whether the fall is within it. */
function covered(fall: Fall, explained: Explanation | null, evidence: Evidence) {
  if (!explained) return null
  const share = allowed(explained, evidence)
  const because: Reason[] = [...explained.because, { rule: 'lossAllowed', share }]
  return { by: explained.by, share, because, holds: -Math.expm1(-fall.lost) < share }
}

function verdictOn(fall: Fall, explained: Explanation | null, evidence: Evidence): Verdict {
  const { belowBest, perWeek, since } = fall
  const facts = lossFacts(fall, evidence)
  const lost = -Math.expm1(-fall.lost)
  const howMuch = { belowBest, lost, perWeek, first: firstOfLoss(evidence.plan, belowBest) }
  const cover = covered(fall, explained, evidence)
  if (cover?.holds) {
    const what = { code: 'lossExplained', ...howMuch, explainedBy: cover.by } as const
    return { severity: 'info', since, what, because: [...facts, ...cover.because] }
  }
  // A tenth lost in a fast is too much, whatever explains the fast.
  const tooMuch = cover && cover.share > WHILE_EATING ? cover : null
  const rule = { rule: 'losing', actBelowBest: ACT_BELOW_BEST, actAWeek: ACT_A_WEEK } as const
  return {
    severity: isGrave(fall) ? 'act' : 'watch',
    since,
    what: { code: 'losing', ...howMuch, explainedBy: tooMuch?.by ?? null },
    because: [...facts, ...(tooMuch?.because ?? []), rule, { source: fromSheet(evidence.plan) }],
  }
}

/** In a winter rest the loss is counted from the weight it began with, and the sheet says where it ends. */
function lossInRest(evidence: Evidence): Verdict | null {
  const { holds, plan, state, weight } = evidence
  const resting = holds.find(({ hold }) => hold === 'winterRest')
  const stop = plan.rest?.stopAtLoss
  if (!resting || stop === undefined || !weight) return null
  const before = weightLevel(
    state.growth.weights.filter(({ day }) => day <= resting.since),
    plan.weighing,
  )
  if (!before) return null
  const loss = 1 - weight.grams / before.grams
  if (loss < stop) return null
  return {
    severity: 'act',
    since: resting.since,
    what: {
      code: 'losing',
      belowBest: loss,
      lost: loss,
      perWeek: null,
      explainedBy: 'winterRest',
      first: null,
    },
    because: [
      { fact: 'weightBefore', grams: before.grams, day: before.day },
      weightFact(weight),
      ...restRule({ plan }),
    ],
  }
}

/** Whether one animal loses weight beyond chance, and what explains it. */
export function losing(evidence: Evidence, path: WeightPath, explanations: Explanations): Verdict | null {
  const inRest = lossInRest(evidence)
  if (inRest) return inRest
  const fall = fallOn(path, evidence.day, { grows: evidence.plan.next !== undefined })
  return fall && verdictOn(fall, explanationOf(fall, path, evidence, explanations()), evidence)
}
