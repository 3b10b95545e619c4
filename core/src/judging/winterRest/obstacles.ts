import { cameOn } from '../../facts/residents/stayState.ts'
import { lastMealDay } from '../../facts/feeding/feedLine.ts'
import { observationsStanding } from '../health/observationsStanding.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Severity } from '../../facts/health/severity.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Rest } from '../../plans/winterRest/winterRest.ts'

/** Why somebody may not rest through the winter. */
export type RestObstacle =
  /** Nothing is planned: too young, or the side chosen here is none. */
  | { code: 'noRest' }
  | { code: 'light'; grams: number; least: number }
  | { code: 'thin'; score: number; day: Day }
  | { code: 'unwell'; text: string; day: Day; by: string }
  | { code: 'lately'; arrivedOn: Day; days: number }
  | { code: 'unweighed'; day: Day | null; within: number }
  | { code: 'ateLately'; day: Day; days: number }
  | { code: 'otherwise'; hold: HoldKind }

export type RestEvidence = Pick<Evidence, 'day' | 'plan' | 'state' | 'holds' | 'weight'>

/** From 2.5 down there is nothing to live on for a winter. */
const THIN = 2.5
const UNWELL: readonly Severity[] = ['act', 'urgent']
/** What must be over before anybody is cooled. */
const IN_THE_WAY: readonly HoldKind[] = [
  'inBlue',
  'premolt',
  'sealedIn',
  'soft',
  'settling',
  'gravid',
  'incubating',
  'vetOrder',
]

function body(rest: Rest, { day, plan, state, weight }: RestEvidence): RestObstacle[] {
  const obstacles: RestObstacle[] = []
  // Those that are never weighed, such as a colony of ants, are judged by other signs.
  if (plan.duties.some(({ does }) => does === 'weigh')) {
    const last = weight?.day ?? null
    if (last === null || day - last > rest.weighedWithin)
      obstacles.push({ code: 'unweighed', day: last, within: rest.weighedWithin })
  }
  if (weight && rest.leastGrams !== undefined && weight.grams < rest.leastGrams)
    obstacles.push({ code: 'light', grams: weight.grams, least: rest.leastGrams })
  const { condition } = state.health
  if (condition && condition.score <= THIN && day - condition.day < plan.standing.scoreDays)
    obstacles.push({ code: 'thin', score: condition.score, day: condition.day })
  const worst = observationsStanding({ day, plan, state }).find(({ severity }) => UNWELL.includes(severity))
  if (worst) obstacles.push({ code: 'unwell', text: worst.text, day: worst.day, by: worst.by })
  return obstacles
}

/** What is against cooling somebody down on a day: young, thin, unwell, lately arrived, not weighed, fed too
 * lately, or in the middle of something else. Empty when it may. The limits are the sheet's. */
export function obstaclesToRest(evidence: RestEvidence): RestObstacle[] {
  const { day, plan, state, holds } = evidence
  const { rest } = plan
  if (!rest) return [{ code: 'noRest' }]
  const came = cameOn(state.stay)
  const ate = lastMealDay(state.feeding)
  return [
    ...body(rest, evidence),
    ...(came !== null && day - came < rest.settledDays
      ? [{ code: 'lately' as const, arrivedOn: came, days: rest.settledDays }]
      : []),
    ...(ate !== null && day - ate < rest.fastDays
      ? [{ code: 'ateLately' as const, day: ate, days: rest.fastDays }]
      : []),
    ...holds
      .filter(({ hold }) => IN_THE_WAY.includes(hold))
      .map(({ hold }) => ({ code: 'otherwise' as const, hold })),
  ]
}

/** What is against letting it rest on: what has come about since it began. */
export function obstaclesWhileResting(evidence: RestEvidence): RestObstacle[] {
  const { rest } = evidence.plan
  return rest ? body(rest, evidence) : [{ code: 'noRest' }]
}
