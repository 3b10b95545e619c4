import { EVERYONE } from '../people/role.ts'
import { floorChecked } from './floorChecked.ts'
import { floorDisposed } from './floorDisposed.ts'
import { floorKept } from './floorKept.ts'
import { withGiven } from './given.ts'
import { emptyLot, LotState } from './lotState.ts'

/** Batches of anything: so far, old floor that was put aside. */
export const lotFamily = {
  kinds: { floorKept, floorChecked, floorDisposed },
  state: LotState,
  empty: emptyLot,
  readBy: EVERYONE,
  // Whose floor it is says how long it is kept.
  needs: ({ floor }: LotState) => (floor ? [floor.of] : []),
  isOpen: ({ disposed }: LotState) => disposed === null,
  hears: { eaten: withGiven, offered: withGiven, cameOutOf: withGiven },
}
