import { countOf } from '../../facts/count/howMany.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import type { ShownBy } from '../../facts/health/shownBy.ts'

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
    // A loss is one matter: told where the weight is judged, with what the sheet says to do first.
    case 'loss':
      return null
    case 'droppings':
      return byDroppings(evidence, shownBy)
    case 'deaths':
      return byDeaths(evidence, shownBy)
  }
}

/** What the sheet says to do first of a loss that is a sign. */
export function firstOfLoss({ signs = [] }: Plan, share: number): string | null {
  const sign = signs.find(({ shownBy }) => shownBy.fact === 'loss' && share >= shownBy.share)
  return sign?.first ?? null
}

/** From this loss on its sheet speaks of harm; a tenth where it says nothing. */
export function harmfulLoss({ signs = [] }: Plan): number {
  const shares = signs.flatMap(({ shownBy }) => (shownBy.fact === 'loss' ? [shownBy.share] : []))
  return Math.min(0.1, ...shares)
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
