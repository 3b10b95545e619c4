import type { Role } from '@kobrin/core'
import { CURATORS, EVERYONE, KEEPERS, SENIORS, WRITERS } from '@kobrin/core'

/** What a person may do, apart from the kinds of entry they may make (see `mayRecord`). */
export type Action =
  | 'readSite'
  | 'readEntries'
  | 'writeEntries'
  | 'amendOwn'
  | 'amendOthers'
  | 'enrolDevice'
  | 'editSheets'
  | 'signPlans'
  | 'editEnclosures'
  | 'editPlaces'
  | 'editPeople'
  | 'bringIn'
  | 'takeOut'

/** Who may do what. The one table: the server enforces it, the interface reads it. */
export const MAY: Readonly<Record<Action, readonly Role[]>> = {
  readSite: EVERYONE,
  readEntries: EVERYONE,
  writeEntries: WRITERS,
  amendOwn: WRITERS,
  amendOthers: SENIORS,
  enrolDevice: SENIORS,
  editSheets: SENIORS,
  signPlans: SENIORS,
  editEnclosures: KEEPERS,
  editPlaces: SENIORS,
  editPeople: CURATORS,
  bringIn: SENIORS,
  takeOut: CURATORS,
}

export function may(role: Role, action: Action): boolean {
  return MAY[action].includes(role)
}
