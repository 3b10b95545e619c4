import { withEnded } from '../holds/saidHolds.ts'
import { lookingAfter } from '../looking/sightings.ts'
import type { ResidentState } from '../residents/residentState.ts'
import { signEnded } from '../skin/skinState.ts'
import type { Happening } from '../subjects/kind.ts'
import { markOf } from '../subjects/mark.ts'
import type { Effect, Line, ResidentKinds } from './evidenceTable.ts'
import { EVIDENCE } from './evidenceTable.ts'

/** What is believed once what a fact shows is taken in. */
export function believing(state: ResidentState, fact: Happening, effect: Effect): ResidentState {
  const mark = markOf(fact)
  const { sighting, endsSign = [], endsHold = [] } = effect
  const { sign } = state.skin
  const isOver = sign !== null && sign.at <= mark.at && endsSign.includes(sign.stage)
  return {
    ...state,
    ...(sighting && { looking: lookingAfter(state.looking, fact, sighting) }),
    ...(isOver && { skin: signEnded(state.skin, mark) }),
    ...(endsHold.length > 0 && { holds: withEnded(state.holds, endsHold, mark) }),
  }
}

/** What a fact of a kind shows; nothing where no line of the table fits. */
export function shownBy(kind: keyof ResidentKinds, fact: Happening, before: ResidentState): Effect {
  const lines = EVIDENCE[kind] as readonly Line<never>[]
  return lines.find(({ holds }) => holds(fact as never, before))?.effect ?? {}
}

/** Kinds whose facts show what the table says of them, before they are folded for what they say themselves. */
export function withEvidence(kinds: ResidentKinds): ResidentKinds {
  const shown = Object.entries(kinds).map(([name, kind]) => {
    const fold = kind.fold as (state: ResidentState, fact: Happening) => ResidentState
    const effects = (state: ResidentState, fact: Happening) =>
      shownBy(name as keyof ResidentKinds, fact, state)
    return [
      name,
      {
        ...kind,
        // Nobody who is gone is seen.
        fold: (state: ResidentState, fact: Happening) =>
          fold(state.stay.ended ? state : believing(state, fact, effects(state, fact)), fact),
      },
    ]
  })
  return Object.fromEntries(shown) as ResidentKinds
}
