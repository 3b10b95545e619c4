import { releasedFrom, floorRule } from '../heldFloor/floorTasks.ts'
import type { Verdict } from './verdict.ts'
import type { Facts } from './facts.ts'

function unaccounted({ state }: Facts): Verdict[] {
  if (!state.unaccounted) return []
  const { expected, found, by, day } = state.unaccounted
  return [
    {
      severity: 'act',
      what: { code: 'unaccounted', missing: expected - found, expected, found, day },
      because: [{ fact: 'count', expected, found, by, day }],
    },
  ]
}

function vacated({ state }: Facts): Verdict[] {
  return (state.vacated ?? []).map(({ enclosure, leaves, day, by }) => ({
    severity: 'watch',
    what: { code: 'vacated', enclosure, leaves, day },
    because: [{ fact: 'left', by, day }],
  }))
}

function floorsReady({ day, plan, state }: Facts): Verdict[] {
  return (state.floors ?? [])
    .filter((floor) => releasedFrom(floor, plan) <= day)
    .map(({ uid, place, day: since, by }) => ({
      severity: 'info',
      what: { code: 'floorReady', floor: uid, place, since },
      because: [
        { fact: 'floorHeld', day: since, by, place },
        { rule: 'heldFloor', ...floorRule(plan) },
      ],
    }))
}

/** What stays on the walk until somebody closes it: who is missing after a count, a place left
 * behind, old floor that may go. */
export function matters(facts: Facts): Verdict[] {
  return [...unaccounted(facts), ...vacated(facts), ...floorsReady(facts)]
}
