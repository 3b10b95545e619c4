import { floorRule } from '../keptFloor/floorTasks.ts'
import { releasedFrom } from '../keptFloor/keptFloor.ts'
import type { Evidence } from './evidence.ts'
import type { Verdict } from './verdict.ts'

function unaccounted({ state }: Evidence): Verdict[] {
  const { missing, shortfalls } = state.count
  const [first] = shortfalls
  if (missing === 0 || !first) return []
  return [
    {
      severity: 'act',
      what: { code: 'unaccounted', missing, day: first.day },
      because: shortfalls.map(({ expected, found, by, day }) => ({
        fact: 'count',
        expected,
        found,
        by,
        day,
      })),
    },
  ]
}

function floorsReady({ day, plan, floors }: Evidence): Verdict[] {
  const rule = floorRule(plan)
  return floors
    .filter((kept) => releasedFrom(kept, rule.days) <= day)
    .map(({ lot, floor: { where, day: since, by } }) => ({
      severity: 'info',
      what: { code: 'floorReady', lot, where, since, freeze: !rule.harmlessOutside },
      because: [
        { fact: 'floorKept', day: since, by, where },
        { rule: 'heldFloor', ...rule },
      ],
    }))
}

/** What stays on the walk until somebody closes it: who is missing after a count, old floor that may go. */
export function leftOpen(evidence: Evidence): Verdict[] {
  return [...unaccounted(evidence), ...floorsReady(evidence)]
}
