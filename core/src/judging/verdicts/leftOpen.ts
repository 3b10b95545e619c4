import { missingOf } from '../../facts/count/countState.ts'
import { floorRule } from '../lots/floorTasks.ts'
import { releasedFrom } from '../lots/keptFloor.ts'
import { isOpenGoing } from '../../facts/residents/goings.ts'
import type { Evidence } from './evidence.ts'
import { stillToDo } from './stillToDo.ts'
import type { Verdict } from './verdict.ts'

function unaccounted({ state }: Evidence): Verdict[] {
  const { shortfalls } = state.count
  const missing = missingOf(state.count)
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

/** What is still to be seen to of some of a colony that died, or are only lent. */
function goingsOpen({ day, state }: Evidence): Verdict[] {
  return state.stay.goings.filter(isOpenGoing).flatMap((going) => stillToDo(going, day))
}

/** What stays on the walk until somebody closes it: who is missing after a count, old floor that may go, what is
 * open of some that went. */
export function leftOpen(evidence: Evidence): Verdict[] {
  return [...unaccounted(evidence), ...floorsReady(evidence), ...goingsOpen(evidence)]
}
