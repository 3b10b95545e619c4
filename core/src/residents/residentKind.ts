import type { Happening } from '../subjects/kind.ts'
import { kindFor } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import { NOTHING_FOUND } from '../looking/lookingState.ts'
import type { ResidentState } from './residentState.ts'

/** Makes a kind of fact about a resident. */
export const residentKind = kindFor<ResidentState>()

/** The duty was seen to. */
export function withDone(state: ResidentState, duty: string, fact: Happening): ResidentState {
  return { ...state, done: { ...state.done, [duty]: markOf(fact) } }
}

const GAPS_KEPT = 40

/** Being handled, weighed, measured or eating in view is being seen. */
export function seenBy(state: ResidentState, fact: Happening): ResidentState {
  const { found: _since, ...looking } = state.looking
  const gap = looking.seenOn === null ? 0 : fact.day - looking.seenOn
  const gaps = gap > 0 ? [...(looking.gaps ?? []), gap].slice(-GAPS_KEPT) : looking.gaps
  return { ...state, looking: { ...looking, seenOn: fact.day, searches: 0, ...(gaps && { gaps }) } }
}

/** Unseen, it showed that it lives: food or water gone, droppings, a burrow closed. */
export function aliveBy(state: ResidentState, fact: Happening): ResidentState {
  const found = { ...NOTHING_FOUND, aliveOn: fact.day }
  return { ...state, looking: { ...state.looking, found } }
}

/** Something that speaks for somebody who is gone was found once more. */
export function goneBy(state: ResidentState, what: 'untouched' | 'full' | 'noDroppings'): ResidentState {
  const found = state.looking.found ?? NOTHING_FOUND
  return { ...state, looking: { ...state.looking, found: { ...found, [what]: found[what] + 1 } } }
}
