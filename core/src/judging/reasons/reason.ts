import type { FloorRule } from '../../plans/lots/floorRule.ts'
import type { AmountRule, SupplementRule } from '../../plans/plan/duty.ts'
import type { Cadence } from '../../plans/plan/cadence.ts'
import type { HoldRule } from '../../plans/plan/holdRule.ts'
import type { ExpectedGrowth } from '../../plans/growth/expectedGrowth.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { LnInterval } from '../renewal/nextInterval.ts'
import type { Season } from '../../basics/time/season.ts'
import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { DroppingsKind } from '../../facts/health/healthState.ts'
import type { ShownBy } from '../../facts/health/shownBy.ts'
import type { Quantity } from '../../facts/readings/quantity.ts'
import type { Rest } from '../../plans/winterRest/winterRest.ts'
import type { EndedHow } from '../../facts/residents/ended.ts'
import type { EcdysisStage } from '../../facts/skin/skinState.ts'
import type { Trigger } from '../stages/stageReached.ts'
import type { Source } from '../../plans/plan/source.ts'

/** One step of a because: a fact with its day and author, a rule, or where a rule comes from.
 * Coded, so that every language and every unit can say it. */
export type Reason =
  | { fact: 'lastDone'; duty: string; day: number; by: string }
  | { fact: 'neverDone'; duty: string; since: number }
  | { fact: 'refused'; duty: string; day: number; by: string; inRow: number; why?: string }
  | { fact: 'notOffered'; day: number; by: string; why?: string }
  | { fact: 'bowl'; day: number; found: 'empty' | 'leftovers' | 'full' }
  | { fact: 'event'; event: string; day: number }
  | { fact: 'noEvent'; event: string }
  | { fact: 'sign'; stage: EcdysisStage; day: number; by: string }
  | { fact: 'arrived'; day: number }
  | { fact: 'moved'; day: number }
  | { fact: 'setBy'; by: string; day: number; reason: string; until: number | null }
  | { fact: 'weight'; grams: number; day: number; readings: number; suspects: number }
  | { fact: 'reading'; zone: string; what: Quantity; value: number; day: number; by: string }
  | { fact: 'highest'; grams: number; day: number }
  | { fact: 'weightBefore'; grams: number; day: number }
  /** As the balance showed it. */
  | { fact: 'weighed'; grams: number; day: number }
  | { fact: 'droppings'; kind: DroppingsKind; day: number; by: string }
  | { fact: 'perWeek'; low: number; mid: number; high: number }
  | { fact: 'gained'; share: number; since: number; day: number }
  | { fact: 'heldUntil'; hold: HoldKind; since: number; until: number }
  | { fact: 'habit'; takes: number }
  | { fact: 'found'; aliveOn?: number | undefined; untouched: number; full: number; noDroppings: number }
  | {
      fact: 'forecast'
      what: 'shed' | 'molt'
      last: number
      elapsed: number
      intervals: number
      /** Of the whole interval: the limits are worked out where they are said. */
      expected: LnInterval
    }
  | { fact: 'intervals'; what: 'shed' | 'molt'; days: number[] }
  /** When it was put in. */
  | { fact: 'leftToFind'; item: string; at: string; by: string }
  | { fact: 'noWeight' }
  /** Without the dark of its kind. */
  | { fact: 'pale' }
  | { fact: 'size'; part: BodyPart; mm: number; day: number }
  | { fact: 'noSize'; part: BodyPart }
  /** How many they are, and for how many the amount is; null where nobody counted them. */
  | { fact: 'headCount'; animals: number | null; per: number }
  | { fact: 'leftovers'; fraction: number; grams: number }
  | { fact: 'cleared'; inRow: number; grams: number }
  | { fact: 'sameItem'; item: string; lastDay: number }
  | { fact: 'itemRefused'; item: string; inRow: number }
  | { fact: 'seen'; day: number | null; searches: number }
  | { fact: 'fedBy'; by: string; at: string; duty: string }
  | { fact: 'observed'; by: string; day: number; text: string }
  | { fact: 'count'; expected: number; found: number; by: string; day: number }
  | { fact: 'vacated'; by: string; day: number }
  | { fact: 'deaths'; count: number; days: number; of: number | null; by: string; day: number }
  | { fact: 'gone'; how: EndedHow; by: string; day: number; count?: number }
  | { fact: 'companionDied'; companion: string; by: string; day: number }
  | { fact: 'permit'; number: string; what: string | null; until: number }
  | { fact: 'floorKept'; day: number; by: string; where: string }
  | { fact: 'reached'; trigger: Trigger; needs: number; has: number }
  | { fact: 'condition'; score: number; by: string; day: number }
  | { fact: 'scoredBefore'; score: number; day: number }
  /** What the curve of the weighings until a day would have it weigh on another, grams, 95 %. */
  | { fact: 'ownCurve'; until: number; on: number; low: number; high: number }
  | { rule: 'ownCurve'; days: number }
  | { rule: 'condition'; step: number }
  | ({ rule: 'heldFloor' } & FloorRule)
  | { rule: 'cadence'; cadence: Cadence }
  | { rule: 'offerAgain'; days: number }
  | { rule: 'window'; from: number; until: number }
  /** Hours it may lie there; none where the animal is bitten now. */
  | { rule: 'takeOut'; item: string; hours: number; bites: boolean }
  | { rule: 'amount'; amount: AmountRule }
  | { rule: 'supplement'; supplement: SupplementRule }
  | { rule: 'weeklyCap'; item: string; cap: number; offers: number }
  | { rule: 'minGap'; item: string; days: number; lastDay: number }
  | { rule: 'hold'; hold: HoldRule['hold']; days?: number; worryAfter?: number }
  | ({ rule: 'rest' } & Rest)
  | { rule: 'refusals'; toWorry: number }
  | {
      rule: 'limits'
      zone: string
      what: Quantity
      want: [number, number] | null
      harmAbove: number | null
      harmBelow: number | null
    }
  | { rule: 'shownBy'; shownBy: ShownBy }
  | { rule: 'unseen'; days: number }
  | { rule: 'losing'; actBelowBest: number; actAWeek: number }
  | { rule: 'lossAllowed'; share: number }
  | { rule: 'plausible'; low: number; high: number }
  | { rule: 'season'; season: Season; why: string }
  | ({ rule: 'growth' } & ExpectedGrowth)
  | { rule: 'boxLength'; part: BodyPart; times: number; has: number }
  | { rule: 'numbers'; perLitre: [number, number]; per100Cm2: [number, number]; start: number }
  | { rule: 'permit'; days: number }
  | { rule: 'lookAfterDeath' }
  | { rule: 'retainedSkin'; days: number }
  | { source: Source }
