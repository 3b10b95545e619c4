import type { Reason } from '../reasons/reason.ts'
import type { Ended } from '../../facts/residents/ended.ts'
import type { Going } from '../../facts/residents/stayState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Verdict } from './verdict.ts'

/** Days before one that is lent is due back from which that is said. */
const BACK_AHEAD = 7

/** What is still to be seen to of one that died, or of one that is only lent; or of some of a colony. */
export function stillToDo(gone: Ended | Going, today: Day): Verdict[] {
  const { day, how, by, postMortem, disposal, dueBack } = gone
  const count = 'count' in gone ? gone.count : null
  const isBack = 'returnedOn' in gone && gone.returnedOn !== undefined
  const because: Reason[] = [{ fact: 'gone', how, by, day, ...(count !== null && { count }) }]
  const some = count === null ? {} : { count, uid: gone.uid }
  const verdicts: Verdict[] = []
  if (disposal === 'notYet')
    verdicts.push({
      severity: today > day ? 'act' : 'watch',
      what: { code: 'bodyWaits', day, ...some },
      because,
    })
  if (postMortem?.found === null)
    verdicts.push({ severity: 'watch', what: { code: 'postMortemOpen', day, ...some }, because })
  if (dueBack !== undefined && !isBack && dueBack - today <= BACK_AHEAD)
    verdicts.push({
      severity: dueBack < today ? 'act' : 'watch',
      what: { code: 'dueBack', day: dueBack, ...some },
      because,
    })
  return verdicts
}
