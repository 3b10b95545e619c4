import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Severity } from '../../facts/health/severity.ts'
import type { ExplainedBy } from './explainedBy.ts'
import type { Day } from '../../basics/time/day.ts'
import type { EcdysisStage, SkinLeft } from '../../facts/skin/skinState.ts'
import type { DutyPatch } from '../../plans/plan/duty.ts'
import type { RestObstacle } from '../winterRest/obstacles.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import type { EndedHow } from '../../facts/residents/ended.ts'
import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { Reason } from '../reasons/reason.ts'

/** Shares below the best of the year, and a week with the limits of 95 %. */
type Loss<Code, By> = {
  code: Code
  belowBest: number
  /** The share lost since it began to fall. */
  lost: number
  perWeek: { low: number; mid: number; high: number } | null
  explainedBy: By
  /** What the sheet says to do first. */
  first: string | null
}

export type VerdictWhat =
  | { code: 'holdOverdue'; hold: HoldKind; daysOver: number | null }
  | { code: 'refusing'; duty: string; inRow: number; days: number | null; explainedBy: ExplainedBy | null }
  | Loss<'losing', ExplainedBy | null>
  | Loss<'lossExplained', ExplainedBy>
  | { code: 'gainingFast'; gained: number; expected: number; days: number; grown: boolean }
  | { code: 'notGrowing'; gained: number; expected: number; days: number }
  | { code: 'signTooLong'; stage: EcdysisStage; days: number; daysOver: number }
  /** `shorter`: the share of such intervals that are shorter. */
  | { code: 'ecdysisOverdue'; what: 'shed' | 'molt'; days: number; shorter: number }
  | { code: 'ecdysisExpected'; what: 'shed' | 'molt'; chance: number }
  | { code: 'limbsLost'; count: number; day: number }
  | { code: 'fedTwice'; duty: string; by: string[] }
  | { code: 'unseen'; days: number; searches: number; hidden: boolean; gone: boolean }
  | { code: 'suspectWeight'; grams: number; level: number | null; uid: string }
  | { code: 'observed'; text: string; uid: string }
  | { code: 'retainedSkin'; parts: SkinLeft[]; layers: number; day: number | null }
  | { code: 'unaccounted'; missing: number; day: number }
  | { code: 'vacated'; leaves: 'toClean' | 'toHold'; resident: string; day: number }
  | { code: 'floorReady'; lot: string; where: string; since: number; freeze: boolean }
  | { code: 'floorWaits'; lot: string; where: string }
  | { code: 'gone'; how: EndedHow; day: number }
  /** `count` and `uid`: of so many of a colony, who went by that entry. */
  | { code: 'postMortemOpen'; day: number; count?: number; uid?: string }
  | { code: 'bodyWaits'; day: number; count?: number; uid?: string }
  | { code: 'dueBack'; day: number; count?: number; uid?: string }
  | { code: 'permitEnds'; number: string; until: number }
  | {
      code: 'reading'
      zone: string
      what: Quantity
      value: number
      high: boolean
      /** Beyond what harms, and not only beyond what is wanted. */
      harms: boolean
      /** It was read in water. */
      inWater: boolean
    }
  | { code: 'sign'; sign: string; first: string | null }
  | { code: 'restUnfit'; obstacles: RestObstacle[] }
  | { code: 'wake' }
  | { code: 'noPlan' }
  | { code: 'stageReached'; stage: string; name: string }
  /** `before`: the score it had before, where it was another. */
  | { code: 'condition'; score: number; before: number | null; propose: DutyPatch[] }
  | { code: 'otherPrey'; item: string; from: string; to: string; on: Day }
  /** About, and between; null beyond two years. */
  | { code: 'outgrows'; on: Day | null; from: Day; to: Day | null }
  /** More of them than their box has room for, as far as they are counted; or fewer than a start of them takes. */
  | {
      code: 'crowded'
      animals: number
      /** Between these, where they were estimated. */
      range: [number, number] | null
      room: number
      by: 'floor' | 'litres' | 'start'
    }
  | { code: 'grewAtMolt'; part: BodyPart; share: number }
  /** `share`: by so much from one to the next. */
  | { code: 'longerIntervals'; what: 'shed' | 'molt'; share: number }
  | { code: 'firstWeight'; grams: number }
  /** `below` where its own curve would have it, or above. */
  | { code: 'offItsCurve'; grams: number; below: boolean }

/** A computed judgement. */
export interface Verdict {
  severity: Severity
  /** Since when, where that can be said. */
  since?: Day | null
  what: VerdictWhat
  because: Reason[]
}
