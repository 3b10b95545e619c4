import type { Fact, Payload } from '../entries/entry.ts'
import { foldCount, withoutVacated } from './foldMoved.ts'
import { markOf } from './markOf.ts'
import type { ResidentState } from './residentState.ts'

/** Old floor is put aside; the place it came from waits for nothing more. */
export function foldFloorHeld(
  state: ResidentState,
  fact: Fact,
  { at, from }: Payload<'floorHeld'>,
): ResidentState {
  const emptied = from === undefined ? state : withoutVacated(state, from)
  const floor = { ...markOf(fact), place: at, lastLook: null }
  return { ...emptied, floors: [...(state.floors ?? []), floor] }
}

/** A look into old floor. Young picked out of it and put back are counted with the rest. */
export function foldFloorChecked(
  state: ResidentState,
  fact: Fact,
  { floor, found, count, became }: Payload<'floorChecked'>,
): ResidentState {
  const floors = (state.floors ?? []).map((one) =>
    one.uid === floor
      ? { ...one, lastLook: markOf(fact), ...(found !== 'nothing' && { foundOn: fact.day }) }
      : one,
  )
  const looked = floors.length > 0 ? { ...state, floors } : state
  if (became !== 'recount' || count === undefined) return looked
  return foldCount(looked, fact, (state.count?.count ?? 0) + count)
}

export function withoutFloor(state: ResidentState, uid: string): ResidentState {
  const { floors = [], ...rest } = state
  const left = floors.filter((one) => one.uid !== uid)
  return left.length > 0 ? { ...rest, floors: left } : rest
}
