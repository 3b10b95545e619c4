import type { OffCurve } from '../weightAhead/offCurve.ts'
import { offItsCurve } from '../weightAhead/offItsCurve.ts'
import type { ResidentDay } from '../walk/residentDay.ts'
import type { DecisionEvidence } from './proposals.ts'
import { proposalsOn } from './proposals.ts'
import type { Verdict } from './verdict.ts'

interface Saying extends DecisionEvidence {
  /** What the walk says of it on that day. */
  today: Pick<ResidentDay, 'holds' | 'verdicts'>
  /** Its last weight, where that left the curve of those before; null where it did not or nobody fitted one. */
  offCurve?: OffCurve | null
}

/** All that the record says of somebody on a day: what the walk says, and what a person decides at a desk. */
export function recordSays({ today, offCurve, ...evidence }: Saying): Verdict[] {
  return [
    ...today.verdicts,
    ...proposalsOn(evidence),
    ...(offCurve ? offItsCurve({ day: evidence.day, off: offCurve, ...today }) : []),
  ]
}
