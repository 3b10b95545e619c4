import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Hold } from '../holds/holdsOn.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { OffCurve } from './offCurve.ts'
import { LATELY_DAYS } from './offCurve.ts'

/** While one of them is on, the weight follows it and not growth. */
const WEIGHS_OTHERWISE: readonly HoldKind[] = ['gravid', 'incubating', 'winterRest', 'fasting', 'digesting']

/** What already speaks of the weight. */
const OF_WEIGHT: readonly Verdict['what']['code'][] = [
  'losing',
  'lossExplained',
  'gainingFast',
  'notGrowing',
  'suspectWeight',
]

interface CurveEvidence {
  day: Day
  off: OffCurve
  holds: readonly Pick<Hold, 'hold'>[]
  /** What is said of it already. */
  verdicts: readonly Pick<Verdict, 'what'>[]
}

/** A weight that left the curve of the weighings before it, where nothing else speaks of the weight or explains it.
 * A last weight of long ago says nothing of today. */
export function offItsCurve({ day, off, holds, verdicts }: CurveEvidence): Verdict[] {
  const { on, until, grams, low, high } = off
  if (on > day || day - on > LATELY_DAYS) return []
  if (holds.some(({ hold }) => WEIGHS_OTHERWISE.includes(hold))) return []
  if (verdicts.some(({ what }) => OF_WEIGHT.includes(what.code))) return []
  return [
    {
      severity: 'info',
      since: on,
      what: { code: 'offItsCurve', grams, below: grams < low },
      because: [
        { fact: 'ownCurve', until, on, low, high },
        { rule: 'ownCurve', days: LATELY_DAYS },
      ],
    },
  ]
}
