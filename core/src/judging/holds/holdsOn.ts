import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { DutyKind } from '../../plans/plan/duty.ts'
import type { HoldRule } from '../../plans/plan/holdRule.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Day } from '../../basics/time/day.ts'
import { mealsKept } from '../../facts/feeding/feedLine.ts'
import type { Offer } from '../../facts/feeding/feedingState.ts'
import { holdOfSign } from '../../facts/skin/holdOfSign.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { SaidHold } from '../../facts/holds/holdsState.ts'
import { broughtHere } from '../../facts/residents/stayState.ts'
import { standsOn, saidOn } from '../../facts/holds/holdsState.ts'

export interface Hold {
  hold: HoldKind
  since: Day
  /** First day on which it should be over; null when nobody can say. */
  expectedEnd: Day | null
  /** From this day on its silence is a worry. */
  worryFrom: Day | null
  overdue: boolean
  suppresses: readonly DutyKind[]
  /** Its end is only a matter of time, so it needs no looking after. */
  endsBy: HoldRule['endsBy']
  because: Reason[]
}

const EVERYTHING_BUT_WATER: readonly DutyKind[] = ['feed', 'clean', 'weigh', 'measure', 'look', 'dampen']

/** What a person's hold stops when the plan has no rule for its kind. */
const BY_PERSON: Readonly<Record<HoldKind, readonly DutyKind[]>> = {
  inBlue: ['feed', 'weigh', 'measure'],
  premolt: ['feed', 'weigh', 'measure'],
  sealedIn: EVERYTHING_BUT_WATER,
  soft: ['feed', 'weigh', 'measure'],
  digesting: ['weigh', 'measure', 'clean'],
  settling: ['weigh', 'measure'],
  winterRest: ['feed', 'clean'],
  fasting: ['feed'],
  founding: EVERYTHING_BUT_WATER,
  gravid: ['weigh', 'measure'],
  incubating: EVERYTHING_BUT_WATER,
  vetOrder: ['feed'],
  leaveBe: EVERYTHING_BUT_WATER,
}

function fromRule(rule: HoldRule, since: Day, day: Day, because: Reason[]): Hold | null {
  const expectedEnd = rule.days === undefined ? null : since + rule.days
  if (rule.endsBy === 'time' && (expectedEnd === null || day >= expectedEnd)) return null
  const worryFrom = rule.worryAfter === undefined ? expectedEnd : since + rule.worryAfter
  return {
    hold: rule.hold,
    since,
    expectedEnd,
    worryFrom,
    overdue: rule.endsBy === 'event' && worryFrom !== null && day >= worryFrom,
    suppresses: rule.suppresses,
    endsBy: rule.endsBy,
    because: [
      ...because,
      {
        rule: 'hold',
        hold: rule.hold,
        ...(rule.days !== undefined && { days: rule.days }),
        ...(rule.worryAfter !== undefined && { worryAfter: rule.worryAfter }),
      },
      { source: rule.source },
    ],
  }
}

/** The latest meal that is large enough to hold for, over all feeding duties. The grams are those of the
 * meal, whatever was offered since. */
function lastLargeMeal({ feeding }: ResidentState, rule: HoldRule, grams: number | null): Offer | null {
  const least = rule.fromMassShare === undefined ? 0 : grams === null ? Infinity : rule.fromMassShare * grams
  let latest: Offer | null = null
  for (const line of Object.values(feeding.lines))
    for (const meal of mealsKept(line))
      if ((meal.grams ?? 0) >= least && (latest === null || meal.at > latest.at)) latest = meal
  return latest
}

interface Cause {
  since: Day
  /** The moment of it, to tell it from what was lifted before. */
  at: string
  because: Reason[]
}

/** What brought a rule's hold about, if anything did. */
function cause(rule: HoldRule, state: ResidentState, grams: number | null): Cause | null {
  const { sign } = state.skin
  if (sign && holdOfSign(sign.stage) === rule.hold) {
    const { stage, day, by, since, at } = sign
    return { since, at, because: [{ fact: 'sign', stage, day, by }] }
  }
  if (rule.hold === 'settling') {
    const brought = broughtHere(state.stay)
    return (
      brought && { since: brought.day, at: brought.at, because: [{ fact: brought.fact, day: brought.day }] }
    )
  }
  if (rule.hold === 'digesting') {
    const meal = lastLargeMeal(state, rule, grams)
    return (
      meal && { since: meal.day, at: meal.at, because: [{ fact: 'event', event: 'meal', day: meal.day }] }
    )
  }
  return null
}

/** What was lifted stays lifted until something new brings it about. */
function isLifted(hold: HoldKind, why: Cause, { holds }: ResidentState): boolean {
  const lifted = holds.lifted[hold]
  return lifted !== undefined && why.at <= lifted.at
}

/** What somebody said holds until they, a fact or the day they named ends it. */
function byPerson({ hold: kind, by, since, reason, until }: SaidHold, plan: Plan, day: Day): Hold {
  const rule = plan.holds.find(({ hold }) => hold === kind)
  const expectedEnd = until ?? (rule?.days === undefined ? null : since + rule.days)
  const worryFrom = until ?? (rule?.worryAfter === undefined ? expectedEnd : since + rule.worryAfter)
  return {
    hold: kind,
    since,
    expectedEnd,
    worryFrom,
    overdue: worryFrom !== null && day >= worryFrom,
    suppresses: rule?.suppresses ?? BY_PERSON[kind],
    endsBy: 'event',
    because: [{ fact: 'setBy', by, day: since, reason, until }, ...(rule ? [{ source: rule.source }] : [])],
  }
}

/** The holds on a resident on a day: those the facts bring about under the plan's rules, and those
 * a person set. A person's hold replaces a rule's of the same kind. One that should have ended and
 * that only a fact can end stays, marked overdue.
 * `grams` is the present weight, for holds that depend on the size of a meal. */
export function holdsOn(day: Day, state: ResidentState, plan: Plan, grams: number | null): Hold[] {
  const holds: Hold[] = []
  for (const rule of plan.holds) {
    if (saidOn(state.holds, rule.hold, day)) continue
    const why = cause(rule, state, grams)
    const hold = why && !isLifted(rule.hold, why, state) && fromRule(rule, why.since, day, why.because)
    if (hold) holds.push(hold)
  }
  const said = state.holds.said.filter((one) => standsOn(one, day))
  return [...holds, ...said.map((one) => byPerson(one, plan, day))]
}
