import type { KeptFloor, ResidentDay, ResidentState, SheetGroup } from '@kobrin/core'
import { isComing } from '@kobrin/core'
import type { Exception } from './ask.ts'
import { arrivalException } from './arrivalException.ts'
import { careExceptions } from './careExceptions.ts'
import { feedingExceptions } from './feedingExceptions.ts'
import { holdExceptions } from './holdExceptions.ts'
import { countExceptions } from './countExceptions.ts'
import { leavingExceptions } from './leavingExceptions.ts'
import { skinException } from './skinException.ts'

export interface ExceptionsFor {
  residentId: string
  group: SheetGroup
  day: ResidentDay
  today: number
  state: Pick<ResidentState, 'stay' | 'skin'>
  /** Old floors of it that are kept. */
  floors: readonly KeptFloor[]
  lives: 'individual' | 'colony'
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
}: ExceptionsFor): Exception[] {
  if (isComing(state) && state.stay.place) return [arrivalException(residentId, state.stay.place.enclosure)]
  const [weigh, ...care] = careExceptions(residentId, group, day)
  return [
    ...feedingExceptions(residentId, day),
    ...(weigh ? [weigh] : []),
    skinException(residentId, group, state.skin.retained),
    ...care,
    ...holdExceptions(residentId, day, today),
    ...countExceptions(residentId, floors),
    ...leavingExceptions(residentId, lives),
  ]
}
