import type { HoldKind } from '../holds/holdKind.ts'
import type { Severity } from '../health/severity.ts'
import type { SkinLeft } from '../skin/skinState.ts'
import type { DutyPatch } from '../plan/duty.ts'
import type { RestObstacle } from '../rest/obstacles.ts'
import type { Quantity } from '../readings/quantity.ts'
import type { SheetGroup } from '../sheet/group.ts'
import type { EndedHow } from '../residents/ended.ts'
import type { Reason } from '../reasons/reason.ts'

export type VerdictWhat =
  | { code: 'holdOverdue'; hold: HoldKind; daysOver: number | null }
  | { code: 'refusing'; duty: string; inRow: number; explainedBy: HoldKind | null }
  | { code: 'fedTwice'; duty: string; by: string[] }
  | { code: 'unseen'; days: number | null; searches: number }
  | { code: 'suspectWeight'; grams: number; level: number; uid: string }
  | { code: 'observed'; text: string; uid: string }
  | { code: 'retainedSkin'; parts: SkinLeft[]; day: number | null }
  | { code: 'unaccounted'; missing: number; day: number }
  | { code: 'vacated'; leaves: 'toClean' | 'toHold'; resident: string; day: number }
  | { code: 'floorReady'; lot: string; where: string; since: number; freeze: boolean }
  | { code: 'floorWaits'; lot: string; where: string }
  | { code: 'gone'; how: EndedHow; day: number }
  | { code: 'postMortemOpen'; day: number }
  | { code: 'bodyWaits'; day: number }
  | { code: 'dueBack'; day: number }
  | { code: 'permitEnds'; number: string; until: number }
  | {
      code: 'reading'
      zone: string
      what: Quantity
      value: number
      high: boolean
      /** Beyond what harms, and not only beyond what is wanted. */
      harms: boolean
      group: SheetGroup | null
    }
  | { code: 'sign'; sign: string; first: string | null }
  | { code: 'restUnfit'; obstacles: RestObstacle[] }
  | { code: 'wake'; why: 'loss' | 'urine'; share: number | null }
  | { code: 'noPlan' }
  | { code: 'stageReached'; stage: string; name: string }
  | { code: 'condition'; score: number; propose: DutyPatch[] }

/** A computed judgement. */
export interface Verdict {
  severity: Severity
  what: VerdictWhat
  because: Reason[]
}
