import type { WeightReading } from '../../facts/growth/growthState.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Rest } from '../../plans/winterRest/winterRest.ts'
import type { Hold } from '../holds/holdsOn.ts'
import type { Reason } from '../reasons/reason.ts'
import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'
import { restRule } from './restRule.ts'

/** A first weighing of the rest stands in for one before it for so long. */
const SOON_AFTER = 7
/** Less is lost to breath and the scale. */
const WORTH_SAYING = 0.03
/** Nothing alive loses so much between two weighings: a decimal slipped. */
const SLIPPED = 0.45

/** What the loss of a rest is counted from, as the balance showed it: the weighing that the sheet asks for before the
 * rest, with the gut empty; or the first of the rest where nobody made that one. Null without either. */
function beganAt(
  weights: readonly WeightReading[],
  since: Day,
  { weighedWithin }: Rest,
): WeightReading | null {
  const before = weights.findLast(({ day }) => day <= since && since - day <= weighedWithin)
  const first = weights.find(({ day }) => day > since && day - since <= SOON_AFTER)
  return before ?? first ?? null
}

/** Whether one in winter rest has lost what its sheet allows. Weighings count as the balance showed them: a gut at rest
 * is empty, and what is lost is lost. At the stop it is weighed again the same day, and a second one beyond it ends the
 * rest; before it the loss is explained. Null where nothing is lost, or nobody weighed it. */
export function lossInRest({ plan, state, course }: Evidence, { since, because }: Hold): Verdict | null {
  const { rest } = plan
  const stop = rest?.stopAtLoss
  const began = rest && beganAt(state.growth.weights, since, rest)
  if (stop === undefined || !began) return null
  const lossOf = ({ grams }: WeightReading) => 1 - grams / began.grams
  const suspects = new Set(course.suspects.map(({ uid }) => uid))
  const resting = state.growth.weights.filter(
    (one) =>
      one.day > since && one.uid !== began.uid && !(suspects.has(one.uid) && Math.abs(lossOf(one)) > SLIPPED),
  )
  const last = resting.at(-1)
  if (!last || lossOf(last) < Math.min(stop, WORTH_SAYING)) return null
  const lost = lossOf(last)
  const explained = { belowBest: lost, lost, perWeek: null, explainedBy: 'winterRest', first: null } as const
  const facts: Reason[] = [
    { fact: 'weightBefore', grams: began.grams, day: began.day },
    { fact: 'weighed', grams: last.grams, day: last.day },
  ]
  if (lost < stop)
    return {
      severity: 'info',
      since,
      what: { code: 'lossExplained', ...explained },
      because: [...facts, ...because, { rule: 'lossAllowed', share: stop }, ...restRule({ plan })],
    }
  const before = resting.at(-2)
  const isAgreed = before !== undefined && lossOf(before) >= stop
  if (isAgreed) facts.push({ fact: 'weighed', grams: before.grams, day: before.day })
  return {
    severity: isAgreed ? 'act' : 'watch',
    since,
    what: { code: 'losing', ...explained },
    because: [...facts, ...restRule({ plan })],
  }
}
