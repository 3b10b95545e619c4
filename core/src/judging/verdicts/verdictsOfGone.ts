import type { Task } from '../walk/task.ts'
import type { Verdict } from './verdict.ts'
import { byGravity } from './byGravity.ts'
import type { Evidence } from './evidence.ts'
import { leftOpen } from './leftOpen.ts'
import { stillToDo } from './stillToDo.ts'
import { lotOf } from '../lots/floorTasks.ts'

/** Nobody walks past somebody who is gone: a look into old floor that is due has to be said. */
function looksDue(floorTasks: readonly Task[]): Verdict[] {
  return floorTasks.flatMap(({ duty, status, keptAt, because }): Verdict[] => {
    const lot = lotOf(duty)
    if (lot === null || keptAt === undefined || (status !== 'due' && status !== 'late')) return []
    return [{ severity: 'act', what: { code: 'floorWaits', lot, where: keptAt }, because }]
  })
}

/** What is left to say of somebody whose stay has ended: that, who of them is still missing, and the old
 * floor in which young may hatch. Empty while somebody is here. */
export function verdictsOfGone(evidence: Evidence, floorTasks: readonly Task[]): Verdict[] {
  const { ended } = evidence.state.stay
  if (!ended) return []
  const { how, day, by } = ended
  const gone: Verdict = {
    severity: 'info',
    what: { code: 'gone', how, day },
    because: [{ fact: 'gone', how, by, day }],
  }
  const toDo = stillToDo(ended, evidence.day)
  return [...looksDue(floorTasks), ...leftOpen(evidence), ...toDo, gone].sort(byGravity)
}
