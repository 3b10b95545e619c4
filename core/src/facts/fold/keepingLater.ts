import type { Cursor } from '../entries/order.ts'
import { compareCursors } from '../entries/order.ts'

function isPlain(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function isMarked(value: unknown): value is Cursor {
  return isPlain(value) && typeof value['at'] === 'string' && typeof value['uid'] === 'string'
}

/** What is believed once a fact was taken in that happened before others that were folded already: whatever rests on a
 * later one stays as it was. Lists hold all that was said, in its order, and are taken as they are. */
export function keepingLater<T>(before: T, after: T, late: Cursor): T {
  if (before === after) return after
  if (isMarked(before) && compareCursors(before, late) > 0) return before
  if (!isPlain(before) || !isPlain(after) || isMarked(before)) return after
  const kept: Record<string, unknown> = { ...(after as Record<string, unknown>) }
  for (const [key, value] of Object.entries(before)) {
    const next = keepingLater(value, kept[key], late)
    if (next !== undefined) kept[key] = next
  }
  return kept as T
}
