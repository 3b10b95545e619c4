/** Where an entry stands in its subject's history. */
export interface Cursor {
  at: string
  uid: string
}

/** Negative when `a` stands before `b`. The order is by when it happened, then by identity
 * (UUIDv7 keeps the order of making), so that every device sorts one history the same way
 * whatever the order of arrival. */
export function compareCursors(a: Cursor, b: Cursor): number {
  if (a.at !== b.at) return a.at < b.at ? -1 : 1
  if (a.uid === b.uid) return 0
  return a.uid < b.uid ? -1 : 1
}

export function cursorOf({ occurredAt, uid }: { occurredAt: string; uid: string }): Cursor {
  return { at: occurredAt, uid }
}
