import { EVERYONE } from '../people/role.ts'
import { emptyPlace, PlaceState } from './placeState.ts'
import { reading } from '../readings/reading.ts'
import { readied } from './readied.ts'
import { tended } from './tended.ts'
import { vacated } from './vacated.ts'

/** Rooms, bays and enclosures. */
export const placeFamily = {
  kinds: { vacated, readied, reading, tended },
  state: PlaceState,
  empty: emptyPlace,
  readBy: EVERYONE,
  needs: ({ waits }: PlaceState) => (waits ? [waits.resident] : []),
}
