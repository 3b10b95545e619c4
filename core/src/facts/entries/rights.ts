import type { Role } from '../people/role.ts'
import { WRITERS } from '../people/role.ts'
import type { FamilyName } from '../subjects/families.ts'
import { FAMILIES, FAMILY_NAMES, kindNamed } from '../subjects/families.ts'
import type { EntryKind } from './entry.ts'

/** Who may make a kind of entry. Whose entries somebody may amend is another question. */
export function recordedBy(kind: EntryKind): readonly Role[] {
  return kind === 'corrected' || kind === 'retracted' ? WRITERS : (kindNamed(kind)?.recordedBy ?? [])
}

export function mayRecord(role: Role, kind: EntryKind): boolean {
  return recordedBy(kind).includes(role)
}

/** Families of subjects whose entries a role may read. */
export function readableBy(role: Role): FamilyName[] {
  return FAMILY_NAMES.filter((family) => FAMILIES[family].readBy.includes(role))
}
