import type { ResidentState } from '../residents/residentState.ts'
import type { Hold } from '../holds/holdsOn.ts'
import { fromSheet } from '../plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Day } from '../time/day.ts'
import { byGravity } from './byGravity.ts'
import type { Evidence } from './evidence.ts'
import { permitVerdicts } from '../residents/permitVerdicts.ts'
import { readingVerdicts } from '../readings/readingVerdicts.ts'
import { weightFact } from '../weightTrend/weightFact.ts'
import { observationsStanding } from '../health/observationsStanding.ts'
import { signsShown } from '../health/signsShown.ts'
import { restVerdicts } from '../rest/restVerdicts.ts'
import { leftOpen } from './leftOpen.ts'
import type { Verdict } from './verdict.ts'

function overdueHold(hold: Hold, day: Day): Verdict {
  const daysOver = hold.expectedEnd === null ? null : day - hold.expectedEnd
  return {
    severity: 'watch',
    what: { code: 'holdOverdue', hold: hold.hold, daysOver },
    because: hold.because,
  }
}

function refusing({ plan, state, holds }: Evidence): Verdict[] {
  const verdicts: Verdict[] = []
  for (const [duty, line] of Object.entries(state.feeding.lines)) {
    if (line.refusals < plan.refusalsToWorry || !line.lastOffer) continue
    const explained = holds.find(({ suppresses }) => suppresses.includes('feed'))
    const { day, by } = line.lastOffer
    const because: Reason[] = [
      { fact: 'refused', duty, day, by, inRow: line.refusals },
      { rule: 'refusals', toWorry: plan.refusalsToWorry },
      ...(explained?.because ?? []),
    ]
    verdicts.push({
      severity: explained ? 'info' : 'watch',
      what: { code: 'refusing', duty, inRow: line.refusals, explainedBy: explained?.hold ?? null },
      because,
    })
  }
  return verdicts
}

function fedTwice({ day, state }: Evidence): Verdict[] {
  const byDuty = new Map<string, ResidentState['feeding']['today']>()
  for (const fed of state.feeding.today) {
    if (fed.day === day) byDuty.set(fed.duty, [...(byDuty.get(fed.duty) ?? []), fed])
  }
  const verdicts: Verdict[] = []
  for (const [duty, feeds] of byDuty) {
    if (feeds.length < 2) continue
    verdicts.push({
      severity: 'watch',
      what: { code: 'fedTwice', duty, by: feeds.map(({ by }) => by) },
      because: feeds.map(({ by, at }) => ({ fact: 'fedBy', by, at, duty })),
    })
  }
  return verdicts
}

function unseen({ day, plan, state, holds }: Evidence): Verdict[] {
  const { unseenToWorry } = plan
  if (unseenToWorry === undefined || holds.some(({ suppresses }) => suppresses.includes('look'))) return []
  const { seenOn, searches } = state.looking
  const from = seenOn ?? state.stay.arrivedOn
  if (from === null || day - from <= unseenToWorry) return []
  return [
    {
      severity: 'watch',
      what: { code: 'unseen', days: day - from, searches },
      because: [
        { fact: 'seen', day: seenOn, searches },
        { rule: 'unseen', days: unseenToWorry },
      ],
    },
  ]
}

function suspectWeight({ state, weight }: Evidence): Verdict[] {
  const last = state.growth.weights.at(-1)
  if (!weight || !last || !weight.suspects.includes(last.uid)) return []
  return [
    {
      severity: 'watch',
      what: { code: 'suspectWeight', grams: last.grams, level: weight.grams, uid: last.uid },
      because: [weightFact(weight)],
    },
  ]
}

function observations(evidence: Evidence): Verdict[] {
  return observationsStanding(evidence).map(({ severity, text, uid, by, day: on }) => ({
    severity,
    what: { code: 'observed', text, uid },
    because: [{ fact: 'observed', by, day: on, text }],
  }))
}

function retainedSkin({ day, plan, state }: Evidence): Verdict[] {
  const { retained, sheds } = state.skin
  const { retainedToAct } = plan.standing
  if (retained.length === 0) return []
  const shedOn = sheds.at(-1) ?? null
  const old = shedOn !== null && day - shedOn >= retainedToAct
  return [
    {
      severity: old ? 'act' : 'watch',
      what: { code: 'retainedSkin', parts: retained, day: shedOn },
      because: [
        ...(shedOn === null ? [] : [{ fact: 'event', event: 'shed', day: shedOn } as const]),
        { rule: 'retainedSkin', days: retainedToAct },
        { source: fromSheet(plan) },
      ],
    },
  ]
}

/** What the record says is wrong or worth knowing today, gravest first. */
export function verdictsOn(evidence: Evidence): Verdict[] {
  const verdicts = [
    ...evidence.holds.filter(({ overdue }) => overdue).map((hold) => overdueHold(hold, evidence.day)),
    ...refusing(evidence),
    ...fedTwice(evidence),
    ...unseen(evidence),
    ...suspectWeight(evidence),
    ...retainedSkin(evidence),
    ...readingVerdicts(evidence),
    ...signsShown(evidence),
    ...restVerdicts(evidence),
    ...observations(evidence),
    ...leftOpen(evidence),
    ...permitVerdicts(evidence),
  ]
  return verdicts.sort(byGravity)
}
