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
const writers: readonly Role[] = ['curator', 'seniorKeeper', 'keeper', 'volunteer', 'vet']
const keepers: readonly Role[] = ['curator', 'seniorKeeper', 'keeper']
const keepersAndVet: readonly Role[] = [...keepers, 'vet']
const seniors: readonly Role[] = ['curator', 'seniorKeeper']

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
  checked: ['curator', 'seniorKeeper', 'keeper', 'volunteer'],
  condition: keepersAndVet,
  fed: ['curator', 'seniorKeeper', 'keeper', 'volunteer'],
  bowl: ['curator', 'seniorKeeper', 'keeper', 'volunteer'],
  watered: ['curator', 'seniorKeeper', 'keeper', 'volunteer'],
  cleaned: ['curator', 'seniorKeeper', 'keeper', 'volunteer'],
  moistened: ['curator', 'seniorKeeper', 'keeper', 'volunteer'],
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
