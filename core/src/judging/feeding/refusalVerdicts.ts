import { fromSheet } from '../../plans/plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import { nextEcdysis, OVERDUE, signDays, silenceTells } from '../skin/nextEcdysis.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Explanations } from '../verdicts/explainedBy.ts'
import { daysWithoutFood, explains } from '../verdicts/explanation.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { rowOn, wasEaten } from '../../facts/feeding/offerSum.ts'
import type { FeedingHabit } from '../../facts/feeding/feedingState.ts'

/** Before its habit is known, nine of ten offers are taken; worth so many of its own. */
const USUALLY_TAKEN = 0.9
const WORTH = 6
/** A row that one with its habit refuses more rarely than this is unusual. */
const UNUSUAL = 0.03
/** So many times the limit of its stage is a worry whatever its habit. */
const WHATEVER_ITS_HABIT = 3

/** The share of offers it takes when nothing keeps it from eating. */
export function takes({ offers, taken }: FeedingHabit): number {
  return (taken + USUALLY_TAKEN * WORTH) / (offers + WORTH)
}

/** Days of refusing that a skin nobody writes down may take: of one that sheds or molts and whose sheds are on record
 * too seldom to tell when the next is due. 0 where the record tells. */
function hiddenSkinDays(evidence: Evidence): number {
  const { plan, state } = evidence
  if (!plan.ecdysis || state.skin.sign) return 0
  const next = nextEcdysis(evidence)
  const tells = next && next.all.length >= 2 && (next.chances.surprise < OVERDUE || silenceTells(next, plan))
  return tells ? 0 : signDays(plan)
}

/** Rows of refusals that are a worry: at least what the stage allows, and more than its own habit explains. */
export function refusals(evidence: Evidence, explanations: Explanations): Verdict[] {
  const { day, plan, state } = evidence
  return Object.entries(state.feeding.lines).flatMap(([duty, line]): Verdict[] => {
    const row = rowOn(line, day)
    const offer = line.offers.findLast((one) => wasEaten(one) === false)
    if (!row || !offer || row.refusals < plan.refusalsToWorry) return []
    const { refusals: inRow, from: since } = row
    const explained = explains(explanations(), { since, day })
    const usual = takes(row.before)
    const isUnusual = (1 - usual) ** inRow <= UNUSUAL || inRow >= plan.refusalsToWorry * WHATEVER_ITS_HABIT
    if (!explained && (!isUnusual || day - since < hiddenSkinDays(evidence))) return []
    const because: Reason[] = [
      { fact: 'refused', duty, day: offer.day, by: offer.by, inRow },
      { fact: 'habit', takes: usual },
      { rule: 'refusals', toWorry: plan.refusalsToWorry },
      ...(explained?.because ?? [{ source: fromSheet(plan) }]),
    ]
    const days = daysWithoutFood(evidence)
    const what = { code: 'refusing', duty, inRow, days, explainedBy: explained?.by ?? null } as const
    return [{ severity: explained ? 'info' : 'watch', since, what, because }]
  })
}
