import type { ResidentDay, SheetGroup } from '@kobrin/core'
import type { Exception } from './ask.ts'
import { careExceptions } from './careExceptions.ts'
import { feedingExceptions } from './feedingExceptions.ts'
import { holdExceptions } from './holdExceptions.ts'
import type { FreePlace } from './moveException.ts'
import { moveException } from './moveException.ts'
import { skinException } from './skinException.ts'

export interface ExceptionsFor {
  residentId: string
  group: SheetGroup
  day: ResidentDay
  today: number
  free: readonly FreePlace[]
}

/** Everything that can be said about a resident besides "as planned", each on one key. */
export function exceptionsFor({ residentId, group, day, today, free }: ExceptionsFor): Exception[] {
  const [weigh, ...care] = careExceptions(residentId, group, day)
  return [
    ...feedingExceptions(residentId, day),
    ...(weigh ? [weigh] : []),
    skinException(residentId, group),
    ...care,
    ...holdExceptions(residentId, day, today),
    ...moveException(residentId, free),
  ]
}
