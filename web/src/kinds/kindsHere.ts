import { care } from './care.ts'
import { counts } from './counts.ts'
import { feeding } from './feeding.ts'
import { growth } from './growth.ts'
import { handover } from './handover.ts'
import { health } from './health.ts'
import { holds } from './holds.ts'
import { looking } from './looking.ts'
import { lots } from './lots.ts'
import { places } from './places.ts'
import { residents } from './residents.ts'
import { skin } from './skin.ts'
import type { FactKind } from '@kobrin/core'
import type { Exception, ExceptionsFor } from '../exceptions/ask.ts'
import type { KindHere } from './kind.ts'

/** Every kind of fact as it is shown, by the family it is about. The compiler asks for each. */
const KINDS: { [K in FactKind]: KindHere<K> } = {
  // Residents.
  ...residents,
  ...counts,
  ...feeding,
  ...care,
  ...growth,
  ...skin,
  ...looking,
  ...health,
  ...holds,
  ...handover,
  ...places,
  ...lots,
}

/** A kind as it is shown; undefined for one that only a newer version knows. */
export function kindHere(kind: string): KindHere<never> | undefined {
  return Object.hasOwn(KINDS, kind) ? (KINDS[kind as FactKind] as unknown as KindHere<never>) : undefined
}

/** All that can be said of a resident besides "as planned". */
export function offeredBy(one: ExceptionsFor): Exception[] {
  return Object.values(KINDS).flatMap(({ offers }: Pick<KindHere<never>, 'offers'>) => offers?.(one) ?? [])
}
