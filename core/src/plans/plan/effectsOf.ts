import type { Duty, DutyKind } from './duty.ts'
import type { Effect } from './effect.ts'

/** What every duty of a kind does. A duty's own effects come on top: a spot-clean only opens the lid, a full clean
 * takes the animal out as well. Water, damp and a look from outside do nothing to it. */
const OF_KIND: Readonly<Record<DutyKind, readonly Effect[]>> = {
  feed: ['feeding'],
  water: [],
  clean: ['opening'],
  weigh: ['handling'],
  measure: ['handling'],
  look: [],
  dampen: [],
  check: [],
  read: [],
}

/** Everything a duty does to the animal. */
export function effectsOf({ does, effects }: Pick<Duty, 'does' | 'effects'>): readonly Effect[] {
  return effects ? [...OF_KIND[does], ...effects] : OF_KIND[does]
}
