import type { Day } from '../../basics/time/day.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Reason } from '../reasons/reason.ts'

/** What explains that somebody eats nothing, loses weight or is not seen. */
export type ExplainedBy =
  HoldKind | 'ecdysis' | 'ecdysisLikely' | 'laid' | 'moved' | 'season' | 'spurt' | 'heat' | 'cold'

export interface Explanation {
  by: ExplainedBy
  since: Day
  /** The last day it speaks of. */
  until: Day
  /** The share of the weight that may be lost while it lasts. */
  allows: number
  /** Days that such a cause lasts at most: what goes on for longer has another. */
  lasts: number
  because: Reason[]
}

/** Looked up by the verdicts that need them: most days none does. */
export type Explanations = () => readonly Explanation[]
