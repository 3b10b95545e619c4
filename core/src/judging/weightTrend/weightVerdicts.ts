import { cameOn } from '../../facts/residents/stayState.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Day } from '../../basics/time/day.ts'
import { spansOf } from '../../facts/holds/holdsState.ts'
import { rowOn } from '../../facts/feeding/offerSum.ts'
import { firstOfLoss, harmfulLoss } from '../health/signsShown.ts'
import type { Reason } from '../reasons/reason.ts'
import { lossInRest } from '../winterRest/lossInRest.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { ExplainedBy, Explanation, Explanations } from '../verdicts/explainedBy.ts'
import { daysWithoutFood, explains } from '../verdicts/explanation.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { Fall, WeightPath } from './fall.ts'
import { fallOn } from './fall.ts'
import type { Smoothed } from './localTrend.ts'
import { weightFact } from './weightFact.ts'
import { freshSince } from './freshStart.ts'

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
    lasts: Infinity,
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

/** Lost by one reading and by another: so much of what asks to act has to show in the one before the last. */
const AGREES = 0.6

/** Whether a second reading speaks of the loss as the last does. */
function isAgreed({ best, since }: Fall, { course }: Evidence): boolean {
  const light = best.grams * (1 - ACT_BELOW_BEST * AGREES)
  const after = course.runs.flat().filter(({ day }) => day > Math.max(since, best.day))
  return after.slice(-3).filter(({ grams }) => grams <= light).length >= 2
}

function isGrave(fall: Fall, evidence: Evidence): boolean {
  const { belowBest, perWeek, fastBeyondChance, sure } = fall
  const isMuch = sure && belowBest >= ACT_BELOW_BEST
  const isFast = fastBeyondChance && perWeek !== null && perWeek.mid <= -ACT_A_WEEK
  return (isMuch || isFast) && isAgreed(fall, evidence)
}

/** The share an explanation covers, and whether the fall is within it: nothing explains a loss that its sheet calls
 * harm. */
function covered(fall: Fall, explained: Explanation | null, evidence: Evidence) {
  if (!explained) return null
  const share = allowed(explained, evidence)
  const because: Reason[] = [...explained.because, { rule: 'lossAllowed', share }]
  const holds = -Math.expm1(-fall.lost) < share && fall.belowBest < harmfulLoss(evidence.plan)
  return { by: explained.by, share, because, holds }
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
    severity: isGrave(fall, evidence) ? 'act' : 'watch',
    since,
    what: { code: 'losing', ...howMuch, explainedBy: tooMuch?.by ?? null },
    because: [...facts, ...(tooMuch?.because ?? []), rule, { source: fromSheet(evidence.plan) }],
  }
}

/** Days after it came in which its gut is still full of what it ate elsewhere, and those after which enough was weighed
 * here to do without them. */
const FULL_AFTER_ARRIVAL = 10
const KNOWN_HERE = 60

/** No weighing with eggs or a full gut is the best of a year. */
function mayBeBestOf({ day: today, state, course }: Evidence): (day: Day) => boolean {
  const gravid = spansOf(state.holds, today).filter(({ hold }) => hold === 'gravid')
  const heavy = new Set(
    course.runs
      .flat()
      .flatMap(({ day, context = [] }) => (context.some((what) => what !== 'justShed') ? [day] : [])),
  )
  const came = cameOn(state.stay)
  const full = came !== null && today - came > KNOWN_HERE ? came + FULL_AFTER_ARRIVAL : -Infinity
  return (day) =>
    day > full && !heavy.has(day) && !gravid.some(({ since, until }) => since <= day && day < until)
}

/** Whether one animal loses weight beyond chance, and what explains it. */
export function losing(evidence: Evidence, path: WeightPath, explanations: Explanations): Verdict | null {
  const rests = evidence.holds.find(({ hold }) => hold === 'winterRest')
  if (rests && evidence.plan.rest?.stopAtLoss !== undefined) return lossInRest(evidence, rests)
  const fall = fallOn(path, evidence.day, {
    grows: evidence.plan.next !== undefined,
    since: freshSince(evidence.state, evidence.day),
    mayBeBest: mayBeBestOf(evidence),
  })
  return fall && verdictOn(fall, explanationOf(fall, path, evidence, explanations()), evidence)
}
