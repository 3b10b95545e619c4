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
  isOpen: ({ disposed }: LotState) => disposed === null,
  hears: { eaten: withGiven, offered: withGiven, cameOutOf: withGiven },
}
