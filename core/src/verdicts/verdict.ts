import type { HoldKind } from '../holds/holdKind.ts'
import type { Severity, SkinLeft } from '../entries/entry.ts'
import type { Reason } from '../reasons/reason.ts'

export type VerdictWhat =
  | { code: 'holdOverdue'; hold: HoldKind; daysOver: number | null }
  | { code: 'refusing'; duty: string; inRow: number; explainedBy: HoldKind | null }
  | { code: 'fedTwice'; duty: string; by: string[] }
  | { code: 'unseen'; days: number | null; searches: number }
  | { code: 'suspectWeight'; grams: number; level: number; uid: string }
  | { code: 'observed'; text: string; uid: string }
  | { code: 'retainedSkin'; parts: SkinLeft[]; day: number | null }

/** A computed judgement. */
export interface Verdict {
  severity: Severity
  what: VerdictWhat
  because: Reason[]
}
