import type { Draft, mayRecord, Role } from '@kobrin/core'
import { may } from '@kobrin/contract'
import { shallowRef } from 'vue'

type Rights = typeof mayRecord

const known = shallowRef<Rights | null>(null)

/** Brings the table of who may record what: it stands with the kinds of fact, which come after the board. */
export async function loadRights(): Promise<void> {
  known.value ??= (await import('./rightsTable.ts')).mayRecord
}

/** Whether a role may record a kind of entry. Until the table is there, everyone who may write at all may. */
export function mayBeSaid(role: Role, kind: Draft['kind']): boolean {
  return known.value ? known.value(role, kind) : may(role, 'writeEntries')
}
