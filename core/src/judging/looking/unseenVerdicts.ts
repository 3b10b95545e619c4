import { fromSheet } from '../../plans/plan/source.ts'
import { isStopped } from '../holds/stops.ts'
import { expectsSkin } from '../skin/nextEcdysis.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Explanations } from '../verdicts/explainedBy.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { Found } from '../../facts/looking/lookingState.ts'
import { NOTHING_FOUND } from '../../facts/looking/lookingState.ts'

/** Sightings from which on its own habit is known. */
const KNOWN_FROM = 6
/** Longer than nine of ten of its own gaps by so much is unusual for it. */
const BEYOND_ITS_OWN = 1.5
/** Its habit stretches what the sheet says at most so far. */
const AT_MOST = 3
/** In the months in which its kind rests, and before a molt, it hides longer. */
const HIDES_LONGER = 2
/** Things found that together speak for somebody who is gone. */
const SPEAK_FOR_GONE = 2

/** Looks in vain, from which it is missed. */
const LOOKED_FOR = 2

/** Days without a sighting that are usual for this one at most; null where its kind hides for months. */
function usualAtMost(
  { plan, state, day }: Evidence,
  explanations: Explanations,
  molts: boolean,
): number | null {
  const limit = plan.unseenToWorry
  if (limit === undefined) return null
  const gaps = [...(state.looking.gaps ?? [])].sort((a, b) => a - b)
  const nineOfTen = gaps[Math.ceil(gaps.length * 0.9) - 1] ?? 0
  const own = gaps.length < KNOWN_FROM ? 0 : Math.ceil(nineOfTen * BEYOND_ITS_OWN)
  const usual = Math.min(limit * AT_MOST, Math.max(limit, own))
  const rests = explanations().some(({ by, since, until }) => by === 'season' && since <= day && until >= day)
  return rests || molts ? usual * HIDES_LONGER : usual
}

function speaksForGone({ untouched, full, noDroppings }: Found): number {
  return untouched + full + noDroppings
}

/** Somebody not seen for longer than is usual for it: hidden, as far as anything shows that it lives, or missing. */
export function unseen(evidence: Evidence, explanations: Explanations): Verdict[] {
  const { day, plan, state, holds } = evidence
  const isLookedFor = !holds.some((hold) => !hold.overdue && isStopped({ does: 'look' }, hold))
  if (!isLookedFor || holds.some(({ hold }) => hold === 'winterRest')) return []
  const { seenOn, searches, found = NOTHING_FOUND } = state.looking
  const from = seenOn ?? state.stay.arrivedOn
  if (from === null || day - from <= (plan.unseenToWorry ?? Infinity)) return []
  const molts = plan.ecdysis?.what === 'molt' && expectsSkin(evidence) !== null
  const usual = usualAtMost(evidence, explanations, molts)
  if (usual === null || day - from <= usual) return []
  const { aliveOn } = found
  const isHidden = aliveOn !== undefined && day - aliveOn <= usual
  const isMissed = searches >= LOOKED_FOR
  const isGone = !isHidden && isMissed && speaksForGone(found) >= SPEAK_FOR_GONE
  return [
    {
      // What nobody looked for is not missing: it is a look that is.
      severity: isHidden || !isMissed ? 'info' : isGone ? 'act' : 'watch',
      since: from,
      what: { code: 'unseen', days: day - from, searches, hidden: isHidden, gone: isGone },
      because: [
        { fact: 'seen', day: seenOn, searches },
        { fact: 'found', ...found },
        { rule: 'unseen', days: usual },
        { source: fromSheet(plan) },
      ],
    },
  ]
}
