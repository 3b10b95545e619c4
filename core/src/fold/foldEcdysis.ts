import type { Fact, Payload } from '../entries/entry.ts'
import { markOf } from './markOf.ts'
import type { ResidentState } from './residentState.ts'

const SHEDS_KEPT = 12

/** A sign or stage of a shed or molt. The first sign of one round keeps its day as `since`,
 * so that a later, clearer sign does not restart the clock of the hold it causes. */
export function foldEcdysis(state: ResidentState, fact: Fact, payload: Payload<'ecdysis'>): ResidentState {
  const { stage } = payload
  const seenIt = { ...state, seenOn: fact.day, searches: 0 }
  const open = { ...markOf(fact), stage, since: fact.day }
  switch (stage) {
    case 'dull':
    case 'inBlue':
    case 'clear':
    case 'premolt':
    case 'sealedIn': {
      const since = continues(state, stage) ? (state.ecdysis?.since ?? fact.day) : fact.day
      // Sealing in is not a sighting of the animal: its burrow was found closed.
      return { ...(stage === 'sealedIn' ? state : seenIt), ecdysis: { ...open, since } }
    }
    case 'soft':
      return { ...seenIt, ecdysis: open }
    case 'hardened':
      return { ...seenIt, ecdysis: null }
    case 'shed':
    case 'molted':
      return {
        ...seenIt,
        ecdysis: stage === 'molted' ? { ...open, stage: 'soft' } : null,
        sheds: [...state.sheds, fact.day].slice(-SHEDS_KEPT),
        retained: payload.retained ?? [],
      }
  }
}

/** Dull, in blue and clear are one round of a shed; sealing in is a matter of its own. */
function continues(state: ResidentState, stage: Payload<'ecdysis'>['stage']): boolean {
  const before = state.ecdysis?.stage
  if (before === undefined || before === 'soft') return false
  return stage === 'sealedIn' ? before === 'sealedIn' : true
}
