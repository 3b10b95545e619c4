import { kindHere, offeredBy } from '../kinds/kindsHere.ts'
import type { Exception, ExceptionsFor } from './ask.ts'

/** In the order in which a hand looks for them; what is not named comes last. */
const ORDER: readonly string[] = [
  'part',
  'refused',
  'refusedInSight',
  'left',
  'notOffered',
  'bowl',
  'otherFood',
  'weigh',
  'skin',
  'unseen',
  'clean',
  'dampen',
  'water',
  'droppings',
  'measure',
  'saw',
  'note',
  'reading',
  'hold',
  'lift',
  'count',
  'condition',
  'floor',
  'someDied',
  'died',
  'gone',
]

function placeOf({ id }: Exception): number {
  const at = ORDER.indexOf(id)
  return at === -1 ? ORDER.length : at
}

/** Everything that can be said about a resident besides "as planned", each on one key. */
export function exceptionsFor(one: ExceptionsFor): Exception[] {
  // Until somebody who is expected is here, nothing else can be said of it.
  const arrival = kindHere('arrived')?.offers?.(one) ?? []
  if (arrival.length > 0) return [...arrival]
  return offeredBy(one).sort((a, b) => placeOf(a) - placeOf(b))
}
