import { EVERYONE } from '../people/role.ts'
import { emptyPlace, PlaceState } from './placeState.ts'
import { reading } from '../readings/reading.ts'
import { readied } from './readied.ts'
import { vacated } from './vacated.ts'

/** Rooms, bays and enclosures. */
export const placeFamily = {
  kinds: { vacated, readied, reading },
  state: PlaceState,
  empty: emptyPlace,
  readBy: EVERYONE,
}
