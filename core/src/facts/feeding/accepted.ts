import type { Day } from '../../basics/time/day.ts'
import { own } from '../subjects/own.ts'
import type { FeedingState, ItemHistory } from './feedingState.ts'
import { sumOf } from './offerSum.ts'

/** How one food has gone down, over all feeding duties; null where it was never offered. The row of refusals is that
 * of the duty under which it was offered last. */
export function historyOf({ lines }: Pick<FeedingState, 'lines'>, item: string): ItemHistory | null {
  const sums = Object.values(lines).flatMap((line) => own(sumOf(line).items, item) ?? [])
  const [last] = [...sums].sort((a, b) => b.lastDay - a.lastDay)
  return last ? { ...last, taken: sums.reduce((sum, { taken }) => sum + taken, 0) } : null
}

/** Days on which a food was offered from one day to before another. */
export function offersOf(
  { lines }: Pick<FeedingState, 'lines'>,
  item: string,
  { from, before }: { from: Day; before: Day },
): number {
  return Object.values(lines)
    .flatMap(({ offers }) => offers)
    .filter(
      ({ outcome, item: offered, day }) =>
        outcome !== 'notOffered' && offered === item && day >= from && day < before,
    ).length
}
