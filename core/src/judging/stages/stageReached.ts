import { countOf } from '../../facts/count/howMany.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { WeightLevel } from '../weightTrend/weightLevel.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { StageEnd } from '../../plans/sheet/stage.ts'
import type { Day } from '../../basics/time/day.ts'

/** What is known about a resident besides its entries. */
export interface About {
  /** Inside of its enclosure. */
  litres?: number | null
}

export type Trigger = keyof StageEnd

/** One trigger of a stage's end: what it asks for and what is known. */
export interface Reached {
  trigger: Trigger
  needs: number
  has: number
}

function known(
  trigger: Trigger,
  day: Day,
  state: ResidentState,
  weight: WeightLevel | null,
  about: About,
): number | null {
  const count = countOf(state)
  const hatchedOn = state.register?.hatchedOn ?? null
  switch (trigger) {
    case 'ageDays':
      return hatchedOn === null ? null : day - hatchedOn
    case 'grams':
      return weight?.grams ?? null
    case 'lengthMm':
      return state.growth.sizes['length']?.mm ?? null
    case 'legSpanMm':
      return state.growth.sizes['legSpan']?.mm ?? null
    case 'instar':
      // Somebody who came grown has molted more often than the record knows.
      return hatchedOn === null ? null : state.skin.sheds.length + 1
    case 'workers':
      return count
    case 'perLitre':
      return count === null || about.litres == null ? null : count / about.litres
  }
}

/** The first trigger of the stage's end that the facts reach; null while none does. The smoothed
 * weight counts, never a suspect reading. */
export function stageReached(
  day: Day,
  plan: Plan,
  state: ResidentState,
  weight: WeightLevel | null,
  about: About,
): Reached | null {
  for (const [trigger, needs] of Object.entries(plan.next?.until ?? {}) as [Trigger, number][]) {
    const has = known(trigger, day, state, weight, about)
    if (has !== null && has >= needs) return { trigger, needs, has }
  }
  return null
}
