import type { Happening } from '../subjects/kind.ts'
import type { LookingState } from './lookingState.ts'
import { NOTHING_FOUND } from './lookingState.ts'

/** What a fact shows of an animal's being there: seen itself; unseen, but something shows that it lives; or something
 * that speaks for somebody who is gone. */
export type Sighting = 'seen' | 'alive' | 'untouched' | 'full' | 'noDroppings'

const GAPS_KEPT = 40

function seen(looking: LookingState, day: number): LookingState {
  const { found: _since, ...rest } = looking
  const gap = looking.seenOn === null ? 0 : day - looking.seenOn
  const gaps = gap > 0 ? [...(looking.gaps ?? []), gap].slice(-GAPS_KEPT) : looking.gaps
  return { ...rest, seenOn: day, searches: 0, ...(gaps && { gaps }) }
}

/** What is known of where it was seen after one more sighting, or sign of one. */
export function lookingAfter(looking: LookingState, { day }: Happening, sighting: Sighting): LookingState {
  // Said late, it tells nothing of the days since it was seen.
  if (looking.seenOn !== null && day < looking.seenOn) return looking
  if (sighting === 'seen') return seen(looking, day)
  if (sighting === 'alive') return { ...looking, found: { ...NOTHING_FOUND, aliveOn: day } }
  const found = looking.found ?? NOTHING_FOUND
  return { ...looking, found: { ...found, [sighting]: found[sighting] + 1 } }
}
