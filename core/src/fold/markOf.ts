import type { Fact } from '../entries/entry.ts'
import type { Mark } from './residentState.ts'

export function markOf({ day, occurredAt, author, uid }: Fact): Mark {
  return { day, at: occurredAt, by: author, uid }
}
