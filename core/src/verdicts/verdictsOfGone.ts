import type { Task } from '../walk/task.ts'
import type { Verdict } from './verdict.ts'
import { byGravity } from './byGravity.ts'
import type { Evidence } from './evidence.ts'
import { leftOpen } from './leftOpen.ts'
import { lotOf } from '../keptFloor/floorTasks.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Ended } from '../residents/ended.ts'
import type { Day } from '../time/day.ts'

/** Days before one that is lent is due back from which that is said. */
const BACK_AHEAD = 7

/** Nobody walks past somebody who is gone: a look into old floor that is due has to be said. */
function looksDue(floorTasks: readonly Task[]): Verdict[] {
  return floorTasks.flatMap(({ duty, status, keptAt, because }): Verdict[] => {
    const lot = lotOf(duty)
    if (lot === null || keptAt === undefined || (status !== 'due' && status !== 'late')) return []
    return [{ severity: 'act', what: { code: 'floorWaits', lot, where: keptAt }, because }]
  })
}

/** What is still to be seen to of one that died, or of one that is only lent. */
function stillToDo({ day, how, by, postMortem, disposal, dueBack }: Ended, today: Day): Verdict[] {
  const because: Reason[] = [{ fact: 'gone', how, by, day }]
  const verdicts: Verdict[] = []
  if (disposal === 'notYet')
    verdicts.push({ severity: today > day ? 'act' : 'watch', what: { code: 'bodyWaits', day }, because })
  if (postMortem?.found === null)
    verdicts.push({ severity: 'watch', what: { code: 'postMortemOpen', day }, because })
  if (dueBack !== undefined && dueBack - today <= BACK_AHEAD)
    verdicts.push({
      severity: dueBack < today ? 'act' : 'watch',
      what: { code: 'dueBack', day: dueBack },
      because,
    })
  return verdicts
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
