import { countOf } from '../count/countOf.ts'
import { weightFact } from '../weightTrend/weightFact.ts'
import type { WeightLevel } from '../weightTrend/weightLevel.ts'
import { weightLevel } from '../weightTrend/weightLevel.ts'
import type { HoldKind } from '../holds/holdKind.ts'
import { fromSheet } from '../plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { ShownBy } from './shownBy.ts'

/** While these last a loss is looked at by their own rules: a rest ends at a loss of its own, a fast is meant, and
 * whoever lays loses what she laid. */
const LOSS_EXPECTED: readonly HoldKind[] = ['winterRest', 'fasting', 'gravid', 'incubating']

/** The highest weight of so many days, meals and the scale smoothed out, or null where nothing is on record. */
function highest({ day, plan, state }: Evidence, days: number): WeightLevel | null {
  const readings = state.growth.weights.filter((reading) => reading.day > day - days)
  let best: WeightLevel | null = null
  for (let until = 1; until <= readings.length; until += 1) {
    const level = weightLevel(readings.slice(0, until), plan.weighing)
    if (level && level.suspects.length === 0 && (best === null || level.grams > best.grams)) best = level
  }
  return best
}

function byLoss(evidence: Evidence, { share, days }: Extract<ShownBy, { fact: 'loss' }>): Reason[] | null {
  const { state, weight, holds } = evidence
  if (!weight || holds.some(({ hold }) => LOSS_EXPECTED.includes(hold))) return null
  // Whoever is above the share even of its highest single reading needs no closer look.
  const most = Math.max(...state.growth.weights.map(({ grams }) => grams))
  if (weight.grams > most * (1 - share)) return null
  const best = highest(evidence, days)
  if (!best || weight.grams > best.grams * (1 - share)) return null
  return [{ fact: 'highest', grams: best.grams, day: best.day }, weightFact(weight)]
}

/** How long droppings speak of today when nobody wrote any down since. */
const DROPPINGS_DAYS = 30

function byDroppings(
  { day, state }: Evidence,
  { kind }: Extract<ShownBy, { fact: 'droppings' }>,
): Reason[] | null {
  const { droppings } = state.health
  if (droppings?.kind !== kind || day - droppings.day > DROPPINGS_DAYS) return null
  return [{ fact: 'droppings', kind, day: droppings.day, by: droppings.by }]
}

function byDeaths(
  { day, state }: Evidence,
  { days, least, share }: Extract<ShownBy, { fact: 'deaths' }>,
): Reason[] | null {
  const lately = (state.health.deaths ?? []).filter((one) => day - one.day < days)
  const last = lately.at(-1)
  const dead = lately.reduce((sum, { count }) => sum + count, 0)
  const left = countOf(state)
  const lived = left === null ? null : left + dead
  if (!last || dead < least || (lived !== null && dead < share * lived)) return null
  return [{ fact: 'deaths', count: dead, days, of: lived, day: last.day, by: last.by }]
}

function factsOf(evidence: Evidence, shownBy: ShownBy): Reason[] | null {
  switch (shownBy.fact) {
    case 'loss':
      return byLoss(evidence, shownBy)
    case 'droppings':
      return byDroppings(evidence, shownBy)
    case 'deaths':
      return byDeaths(evidence, shownBy)
  }
}

/** The signs of the sheet that the record itself shows, with what the sheet says to do first. */
export function signsShown(evidence: Evidence): Verdict[] {
  const { plan } = evidence
  return (plan.signs ?? []).flatMap(({ sign, severity, first, shownBy }): Verdict[] => {
    const facts = factsOf(evidence, shownBy)
    if (!facts) return []
    return [
      {
        severity,
        what: { code: 'sign', sign, first: first ?? null },
        because: [...facts, { rule: 'shownBy', shownBy }, { source: fromSheet(plan) }],
      },
    ]
  })
}
