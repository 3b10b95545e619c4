import type { KeptFloor, Point, ResidentDay, ResidentState, SheetGroup } from '@kobrin/core'
import { isComing, partsLeft } from '@kobrin/core'
import type { Exception } from './ask.ts'
import { arrivalException } from './arrivalException.ts'
import { careExceptions } from './careExceptions.ts'
import { feedingExceptions } from './feedingExceptions.ts'
import { holdExceptions } from './holdExceptions.ts'
import { countExceptions } from './countExceptions.ts'
import { leavingExceptions } from './leavingExceptions.ts'
import { readingException } from './readingException.ts'
import { skinException } from './skinException.ts'

export interface ExceptionsFor {
  residentId: string
  group: SheetGroup
  day: ResidentDay
  today: number
  state: ResidentState
  /** Old floors of it that are kept. */
  floors: readonly KeptFloor[]
  lives: 'individual' | 'colony'
  /** The box that stands empty once it is gone; null while others live in it. */
  boxLeft: string | null
  /** Where it lives, and what is read there. */
  home: string | null
  points: readonly Point[]
}

/** Everything that can be said about a resident besides "as planned", each on one key. */
export function exceptionsFor({
  residentId,
  group,
  day,
  today,
  state,
  floors,
  lives,
  boxLeft,
  home,
  points,
}: ExceptionsFor): Exception[] {
  const { expected } = state.stay
  if (isComing(state) && expected) return [arrivalException(residentId, expected.enclosure)]
  const [weigh, ...care] = careExceptions(residentId, group, day)
  return [
    ...feedingExceptions(residentId, day),
    ...(weigh ? [weigh] : []),
    skinException(residentId, group, partsLeft(state.skin)),
    ...care,
    ...readingException({ residentId, home, points }),
    ...holdExceptions(residentId, day, today),
    ...countExceptions(residentId, floors),
    ...leavingExceptions({ residentId, lives, state, today, boxLeft }),
  ]
}
