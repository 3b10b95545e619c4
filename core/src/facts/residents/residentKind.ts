import type { Happening } from '../subjects/kind.ts'
import { kindFor } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { ResidentState } from './residentState.ts'

/** Makes a kind of fact about a resident. */
export const residentKind = kindFor<ResidentState>()

/** The duty was seen to. */
export function withDone(state: ResidentState, duty: string, fact: Happening): ResidentState {
  return { ...state, done: { ...state.done, [duty]: markOf(fact) } }
}
