import { compareCursors, cursorOf } from '../entries/order.ts'
import type { Fact } from '../subjects/families.ts'
import type { Echo } from './echo.ts'

/** Facts about a subject, which are in their order, and what facts about others say of it, as all of it happened. */
export function inOrder(facts: readonly Fact[], echoes: readonly Echo[]): readonly (Fact | Echo)[] {
  if (echoes.length === 0) return facts
  return [...facts, ...echoes].sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
}
