import type { Day } from '../../basics/time/day.ts'
import { own } from '../subjects/own.ts'
import type { FeedingState, ItemHistory } from './feedingState.ts'
import { sumOf } from './offerSum.ts'

/** How one food has gone down, over all feeding duties; null where it was never offered. The row of refusals is that
 * of the duty under which it was offered last. */
export function historyOf({ lines }: Pick<FeedingState, 'lines'>, item: string): ItemHistory | null {
  let last: ItemHistory | null = null
  let taken = 0
  for (const line of Object.values(lines)) {
    const history = own(sumOf(line).items, item)
    if (!history) continue
    taken += history.taken
    if (!last || history.lastDay > last.lastDay) last = history
  }
  return last && { ...last, taken }
}

/** Days on which a food was offered from one day to before another. */
export function offersOf(
  { lines }: Pick<FeedingState, 'lines'>,
  item: string,
  { from, before }: { from: Day; before: Day },
): number {
  let days = 0
  for (const { offers } of Object.values(lines))
    for (const { outcome, item: offered, day } of offers)
      if (outcome !== 'notOffered' && offered === item && day >= from && day < before) days += 1
  return days
}
