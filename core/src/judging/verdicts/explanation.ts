import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { PastHold } from '../../facts/holds/holdsState.ts'
import { pastHolds } from '../../facts/holds/holdsState.ts'
import { broughtHere } from '../../facts/residents/stayState.ts'
import { lastMealDay } from '../../facts/feeding/feedLine.ts'
import type { Reason } from '../reasons/reason.ts'
import { readingVerdicts } from '../readings/readingVerdicts.ts'
import { expectsSkin, signDays } from '../skin/nextEcdysis.ts'
import { shedDays } from '../../facts/skin/skinState.ts'
import type { Day } from '../../basics/time/day.ts'
import { isInSeason, turned } from '../../basics/time/season.ts'
import type { Evidence } from './evidence.ts'
import type { ExplainedBy, Explanation } from './explainedBy.ts'

/** A tenth lost in a fast is too much, whatever explains the fast. */
const FAST = 0.1
const ALLOWS: Readonly<Partial<Record<ExplainedBy, number>>> = {
  spurt: 0.05,
  heat: 0.05,
  cold: 0.05,
  settling: 0.08,
  moved: 0.08,
}

/** Days a cause lasts at most; of others a rule of the sheet or the one who set it says so. */
const LASTS: Readonly<Partial<Record<ExplainedBy, number>>> = {
  inBlue: 21,
  premolt: 120,
  sealedIn: 240,
  soft: 30,
  settling: 45,
  gravid: 150,
  incubating: 120,
  laid: 60,
  moved: 45,
  heat: 30,
  cold: 30,
}

/** Days after it is over in which an explanation still speaks of what happens. */
const AFTER_LAYING = 45
const AFTER_MOVING = 30
const AFTER_REST = 14
const AFTER_SEASON = 14
const AFTER_READING = 14

/** Holds under which an animal may eat nothing or lose weight. */
const EXPLAINING: readonly HoldKind[] = [
  'inBlue',
  'premolt',
  'sealedIn',
  'soft',
  'settling',
  'winterRest',
  'fasting',
  'founding',
  'gravid',
  'incubating',
  'vetOrder',
]

function explanation(by: ExplainedBy, since: Day, until: Day, because: Reason[]): Explanation {
  return { by, since, until, allows: ALLOWS[by] ?? FAST, lasts: LASTS[by] ?? Infinity, because }
}

/** A rest begins with the fast that leads into it. */
const INTO_REST = 7

function beganWith(since: Day, past: readonly PastHold[]): Day {
  const fast = past.find(({ hold, until }) => hold === 'fasting' && Math.abs(since - until) <= INTO_REST)
  return fast?.since ?? since
}

/** The longer of what is usual and of what the sheet lets pass before it worries. */
function lastsAtMost(by: ExplainedBy, { holds }: Evidence['plan']): number {
  const worry = holds.find(({ hold }) => hold === by)?.worryAfter
  return worry === undefined ? (LASTS[by] ?? Infinity) : Math.max(LASTS[by] ?? 0, worry)
}

function ofHolds({ day, holds, state, plan }: Evidence): Explanation[] {
  const rest = plan.rest?.stopAtLoss
  const over = pastHolds(state.holds, day)
  const bounded = (one: Explanation) => ({
    ...one,
    lasts: lastsAtMost(one.by, plan),
    ...(one.by === 'winterRest' && rest !== undefined && { allows: rest }),
  })
  const now = holds
    .filter(({ hold }) => EXPLAINING.includes(hold))
    .map(({ hold, since, because }) =>
      bounded(explanation(hold, hold === 'winterRest' ? beganWith(since, over) : since, day, because)),
    )
  const past = over.flatMap(({ hold, since, until }) => {
    const because: Reason[] = [{ fact: 'heldUntil', hold, since, until }]
    // Who was gravid and is not any more has laid, or dropped her young.
    if (hold === 'gravid') return [explanation('laid', since, until + AFTER_LAYING, because)]
    return EXPLAINING.includes(hold) ? [bounded(explanation(hold, since, until + AFTER_REST, because))] : []
  })
  return [...now, ...past]
}

function ofSkin(evidence: Evidence): Explanation[] {
  const { day, state, plan } = evidence
  const before = signDays(plan)
  const after = plan.ecdysis?.what === 'molt' ? before : AFTER_REST
  const past = shedDays(state.skin)
    .filter((shed) => day - shed < 400)
    .map((shed) => ({
      ...explanation('ecdysis', shed - before, shed + after, [{ fact: 'event', event: 'shed', day: shed }]),
      lasts: before + after,
    }))
  const likely = expectsSkin(evidence)
  if (!likely) return past
  return [
    ...past,
    { ...explanation('ecdysisLikely', likely.since, day, likely.because), lasts: before * 1.5 },
  ]
}

function ofPlace({ state }: Evidence): Explanation[] {
  const brought = broughtHere(state.stay)
  if (!brought) return []
  const { fact, day } = brought
  return [explanation('moved', day, day + AFTER_MOVING, [{ fact, day }])]
}

/** Each time of the year in which it may fast that touches the last year. */
function ofSeasons({ day, plan, state, hemisphere = 'north' }: Evidence): Explanation[] {
  const sex = state.register?.sex ?? 'unknown'
  return (plan.fasts ?? []).flatMap((fast) => {
    // A winter that nobody chose for it is none: kept warm, it has no reason to fast.
    if (fast.withRest && !plan.rest) return []
    if (fast.sex && sex !== 'unknown' && sex !== fast.sex) return []
    const season = hemisphere === 'south' ? turned(fast.season) : fast.season
    let until = day
    while (until > day - AFTER_SEASON && !isInSeason(season, until)) until -= 1
    if (!isInSeason(season, until)) return []
    let since = until
    while (isInSeason(season, since - 1) && since > until - 366) since -= 1
    return [explanation('season', since, day, [{ rule: 'season', season, why: fast.why }])]
  })
}

function ofClimate(evidence: Evidence): Explanation[] {
  return readingVerdicts(evidence).flatMap(({ what, because }) => {
    if (what.code !== 'reading' || what.what !== 'celsius') return []
    const read = because.find((reason) => 'fact' in reason && reason.fact === 'reading')
    if (!read || !('day' in read)) return []
    return [explanation(what.high ? 'heat' : 'cold', read.day, read.day + AFTER_READING, because)]
  })
}

/** Everything on record that may explain a fast or a loss of the last months, on the day it is judged. */
export function explanationsOf(evidence: Evidence): Explanation[] {
  return [
    ...ofHolds(evidence),
    ...ofSkin(evidence),
    ...ofPlace(evidence),
    ...ofSeasons(evidence),
    ...ofClimate(evidence),
  ]
}

/** Days a row of refusals, or a loss, may have begun before what explains it was noticed. */
const NOTICED_LATE = 10

/** What explains something that goes on since a day; the one that allows most. */
export function explains(
  explanations: readonly Explanation[],
  { since, day }: { since: Day; day: Day },
): Explanation | null {
  const fitting = explanations
    .filter((one) => one.until >= day && one.since - NOTICED_LATE <= since)
    .filter((one) => day - Math.max(since, one.since) <= one.lasts)
    .sort((a, b) => b.allows - a.allows)
  return fitting[0] ?? null
}

/** Days since the last meal; null before the first. */
export function daysWithoutFood({ day, state }: Pick<Evidence, 'day' | 'state'>): number | null {
  const meal = lastMealDay(state.feeding)
  return meal === null ? null : day - meal
}
