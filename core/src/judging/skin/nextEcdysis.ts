import { rowOn } from '../../facts/feeding/offerSum.ts'
import { pastHolds } from '../../facts/holds/holdsState.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Reason } from '../reasons/reason.ts'
import type { IntervalPrior, LnInterval, RenewalChances } from '../renewal/nextInterval.ts'
import { nextInterval, renewalChances } from '../renewal/nextInterval.ts'
import { shedDays } from '../../facts/skin/skinState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Evidence } from '../verdicts/evidence.ts'

/** Half the width of the middle eight of ten, in standard deviations. */
const EIGHT_OF_TEN = 1.2816
/** What the sheet says is worth one interval of this animal, and its spread five. */
const KAPPA = 1
const ALPHA = 2.5
/** The last intervals: those of a smaller animal were shorter. */
const INTERVALS = 6
/** Two records of one shed are nearer than this share of the shortest usual interval. */
const ONE_EVENT = 0.25
/** An interval so many times the middle one holds a shed nobody wrote down. */
const MISSED_ONE = 1.75

type Ecdysis = NonNullable<Plan['ecdysis']>

/** What a sheet expects of intervals at a stage, before any was seen. */
export function priorOf({ days: [low, high] }: Pick<Ecdysis, 'days'>): IntervalPrior {
  const spread = Math.max(0.08, Math.log(high / low) / (2 * EIGHT_OF_TEN))
  const beta0 = (ALPHA * spread * spread * KAPPA) / (KAPPA + 1)
  return { mu0: (Math.log(low) + Math.log(high)) / 2, kappa0: KAPPA, alpha0: ALPHA, beta0 }
}

/** Days on which the skin came off, two records of one event taken together. */
function eventsOf(sheds: readonly Day[], { days: [low] }: Ecdysis): Day[] {
  const events: Day[] = []
  for (const day of [...sheds].sort((a, b) => a - b)) {
    const last = events.at(-1)
    if (last === undefined || day - last > low * ONE_EVENT) events.push(day)
  }
  return events
}

function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? NaN
}

function gapsOf(events: readonly Day[]): number[] {
  return events.slice(1).map((day, at) => day - (events[at] ?? day))
}

/** Intervals that speak of the next one. */
function intervalsOf(all: readonly number[]): number[] {
  const lately = all.slice(-INTERVALS)
  if (lately.length < 3) return lately
  const middle = middleOf(lately)
  return lately.filter((days) => days <= middle * MISSED_ONE)
}

export interface NextEcdysis {
  what: Ecdysis['what']
  last: Day
  /** Days since the last, without those it rested. */
  elapsed: number
  /** Intervals that speak of the next one. */
  intervals: number[]
  /** All of its own on record. */
  all: number[]
  /** Of the whole interval. */
  expected: LnInterval
  chances: RenewalChances
}

/** Days within a stretch on which it lay in winter rest: its skin waits as well. */
function restedBetween(from: Day, to: Day, { holds, state }: Pick<Evidence, 'holds' | 'state'>): number {
  const now = holds.flatMap(({ hold, since }) => (hold === 'winterRest' ? [[since, to] as const] : []))
  const past = pastHolds(state.holds, to).flatMap(({ hold, since, until }) =>
    hold === 'winterRest' ? [[since, until] as const] : [],
  )
  return [...now, ...past].reduce(
    (sum, [since, until]) => sum + Math.max(0, Math.min(to, until) - Math.max(from, since)),
    0,
  )
}

/** Tarantulas that came of age as males do not molt again. */
function isDoneMolting({ plan, state }: Pick<Evidence, 'plan' | 'state'>): boolean {
  return plan.group === 'tarantula' && plan.next === undefined && state.register?.sex === 'male'
}

/** When the skin comes off next, from this one's own intervals and what the sheet says of the stage. Null where
 * nobody expects it to, or no shed or molt is on record to count from. */
export function nextEcdysis(
  evidence: Pick<Evidence, 'day' | 'plan' | 'state' | 'holds'>,
  horizon = 7,
): NextEcdysis | null {
  const { day, plan, state } = evidence
  const { ecdysis } = plan
  if (!ecdysis || plan.lives === 'colony' || isDoneMolting(evidence)) return null
  const events = eventsOf(shedDays(state.skin), ecdysis)
  const last = events.at(-1)
  if (last === undefined || last > day) return null
  const elapsed = day - last - restedBetween(last, day, evidence)
  const all = gapsOf(events)
  const intervals = intervalsOf(all)
  const expected = nextInterval(intervals, priorOf(ecdysis))
  if (!expected) return null
  const chances = renewalChances(expected, elapsed, horizon)
  return { what: ecdysis.what, last, elapsed, intervals, all, expected, chances }
}

/** Intervals of its own, from which one is known to be late. */
const KNOWN_FROM = 2
/** Beyond the longest it ever had by so much. */
const BEYOND_ITS_LONGEST = 1.2

/** Whether sheds or molts of this one are written down so regularly that silence means something: one that eats its
 * skin, or whose keepers wrote down none or one, is late for nobody; nor is one before it waited longer than ever. */
export function silenceTells({ all, elapsed }: NextEcdysis, { ecdysis }: Pick<Plan, 'ecdysis'>): boolean {
  if (ecdysis?.eaten || all.length < KNOWN_FROM) return false
  return elapsed > Math.max(...all) * BEYOND_ITS_LONGEST
}

const SIGN_HOLDS: Readonly<Record<Ecdysis['what'], HoldKind>> = { shed: 'inBlue', molt: 'premolt' }
const SIGN_DAYS: Readonly<Record<Ecdysis['what'], number>> = { shed: 10, molt: 30 }

/** Days from the first sign to the skin coming off, a little more than usual. */
export function signDays({ ecdysis, holds }: Pick<Plan, 'ecdysis' | 'holds'>): number {
  if (!ecdysis) return SIGN_DAYS.shed
  const rule = holds.find(({ hold }) => hold === SIGN_HOLDS[ecdysis.what])
  const [low] = ecdysis.days
  return Math.min(low, Math.round((rule?.days ?? SIGN_DAYS[ecdysis.what]) * 1.25))
}

function isRefusing({ state, day }: Pick<Evidence, 'state' | 'day'>): boolean {
  return Object.values(state.feeding.lines).some((line) => rowOn(line, day) !== null)
}

/** A chance once refusing was seen, by its likelihood ratio. */
function likelier(chance: number, { ecdysis }: Pick<Plan, 'ecdysis'>): number {
  const ratio = ecdysis?.signs.refusing ?? 1
  return (ratio * chance) / (ratio * chance + 1 - chance)
}

/** Whether it is likely enough about to shed or molt, although nobody saw a sign yet, that it may eat nothing
 * for it; and since when. */
export function expectsSkin(
  evidence: Pick<Evidence, 'day' | 'plan' | 'state' | 'holds'>,
): { since: Day; because: Reason[] } | null {
  if (evidence.state.skin.sign) return null
  const ahead = signDays(evidence.plan)
  const next = nextEcdysis(evidence, ahead)
  if (!next) return null
  const { chances, last } = next
  const chance = isRefusing(evidence)
    ? likelier(chances.pWithinHorizon, evidence.plan)
    : chances.pWithinHorizon
  // Those that are long overdue do not wait for their skin any more.
  if (chance < LIKELY || chances.surprise > OVERDUE) return null
  return { since: Math.max(last, evidence.day - ahead), because: [forecastReason(next)] }
}

/** Chance within the days of a sign from which a refusal is likely the skin. */
const LIKELY = 0.4
/** Share of intervals that are shorter, from which one is unusually late. */
export const OVERDUE = 0.985

/** What the forecast of a shed or molt rests on, as a reason. */
export function forecastReason({ what, last, elapsed, intervals, expected }: NextEcdysis): Reason {
  return { fact: 'forecast', what, last, elapsed, intervals: intervals.length, expected }
}
