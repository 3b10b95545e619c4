import type { KeptFloor, ResidentDay, SheetGroup } from '@kobrin/core'
import type { Exception } from './ask.ts'
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
  floors: readonly KeptFloor[]
}

/** Everything that can be said about a resident besides "as planned", each on one key. */
export function exceptionsFor({ residentId, group, day, today, floors }: ExceptionsFor): Exception[] {
  const [weigh, ...care] = careExceptions(residentId, group, day)
  return [
    ...feedingExceptions(residentId, day),
    ...(weigh ? [weigh] : []),
    skinException(residentId, group),
    ...care,
    ...holdExceptions(residentId, day, today),
    ...countExceptions(residentId, floors),
  ]
}
