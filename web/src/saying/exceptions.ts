import type { ResidentDay, ResidentState, SheetGroup } from '@kobrin/core'
import type { Exception } from './ask.ts'
import { arrivalException } from './arrivalException.ts'
import { careExceptions } from './careExceptions.ts'
import { feedingExceptions } from './feedingExceptions.ts'
import { holdExceptions } from './holdExceptions.ts'
import { countExceptions } from './countExceptions.ts'
import { skinException } from './skinException.ts'

export interface ExceptionsFor {
  residentId: string
  group: SheetGroup
  day: ResidentDay
  today: number
  state: Pick<ResidentState, 'floors' | 'expectedOn' | 'arrivedOn' | 'place'>
}

/** Everything that can be said about a resident besides "as planned", each on one key. */
export function exceptionsFor({ residentId, group, day, today, state }: ExceptionsFor): Exception[] {
  if (state.expectedOn !== undefined && state.arrivedOn === null && state.place)
    return [arrivalException(residentId, state.place.enclosure)]
  const [weigh, ...care] = careExceptions(residentId, group, day)
  return [
    ...feedingExceptions(residentId, day),
    ...(weigh ? [weigh] : []),
    skinException(residentId, group),
    ...care,
    ...holdExceptions(residentId, day, today),
    ...countExceptions(residentId, state.floors ?? []),
  ]
}
