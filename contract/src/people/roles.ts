import type { EntryKind } from '@kobrin/core'

export const ROLES = ['curator', 'seniorKeeper', 'keeper', 'volunteer', 'vet', 'reader'] as const
export type Role = (typeof ROLES)[number]

/** What a person may do, apart from the kinds of entry they may make. */
export type Action =
  | 'readSite'
  | 'readEntries'
  | 'writeEntries'
  | 'amendOwn'
  | 'amendOthers'
  | 'enrolDevice'
  | 'editSheets'
  | 'signPlans'
  | 'setStage'
  | 'editEnclosures'
  | 'addResidents'

const everyone: readonly Role[] = ROLES
const seniors: readonly Role[] = ['curator', 'seniorKeeper']
const keepers: readonly Role[] = [...seniors, 'keeper']
const keepersAndVet: readonly Role[] = [...keepers, 'vet']
/** Whoever does the round. */
const hands: readonly Role[] = [...keepers, 'volunteer']
const writers: readonly Role[] = [...hands, 'vet']

/** Who may do what. The one table: the server enforces it, the interface reads it. */
export const MAY: Readonly<Record<Action, readonly Role[]>> = {
  readSite: everyone,
  readEntries: everyone,
  writeEntries: writers,
  amendOwn: writers,
  amendOthers: seniors,
  enrolDevice: seniors,
  editSheets: seniors,
  signPlans: seniors,
  setStage: keepers,
  editEnclosures: keepers,
  addResidents: keepers,
}

/** Who may make which kind of entry. */
export const MAY_RECORD: Readonly<Record<EntryKind, readonly Role[]>> = {
  arrived: keepers,
  moved: keepers,
  expected: keepers,
  vacated: keepers,
  counted: keepers,
  accounted: keepers,
  floorHeld: keepers,
  floorChecked: keepers,
  floorReleased: keepers,
  checked: hands,
  condition: keepersAndVet,
  fed: hands,
  bowl: hands,
  watered: hands,
  cleaned: hands,
  moistened: hands,
  weighed: keepersAndVet,
  measured: keepersAndVet,
  ecdysis: keepersAndVet,
  sighted: writers,
  droppings: writers,
  observed: writers,
  noted: writers,
  held: keepersAndVet,
  released: keepersAndVet,
  corrected: writers,
  retracted: writers,
}

export function may(role: Role, action: Action): boolean {
  return MAY[action].includes(role)
}

export function mayRecord(role: Role, kind: EntryKind): boolean {
  return MAY_RECORD[kind].includes(role)
}
