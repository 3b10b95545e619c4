import type * as z from 'zod/mini'
import { shownByBowl } from '../feeding/bowl.ts'
import type { HoldKind } from '../holds/holdKind.ts'
import type { Sighting } from '../looking/sightings.ts'
import type { RESIDENT_KINDS } from '../residents/residentKinds.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { EcdysisStage } from '../skin/skinState.ts'
import type { Happening } from '../subjects/kind.ts'

/** What a fact shows of other beliefs than its own: whether the animal is there, and what is over. */
export interface Effect {
  sighting?: Sighting
  /** Open signs of a shed or molt that cannot be so any more. */
  endsSign?: readonly EcdysisStage[]
  /** Holds set by hand that cannot be so any more. */
  endsHold?: readonly HoldKind[]
}

export type ResidentKinds = typeof RESIDENT_KINDS
type PayloadOf<K> = K extends { payload: z.ZodMiniType<infer P> } ? P : never
export type FactOf<K extends keyof ResidentKinds> = Happening<PayloadOf<ResidentKinds[K]>>

/** One line of the table: which fact, in which case, shows what. */
export interface Line<K extends keyof ResidentKinds> {
  /** The case, in words. */
  when: string
  holds: (fact: FactOf<K>, before: ResidentState) => boolean
  effect: Effect
}

const always = () => true
const SEEN: Effect = { sighting: 'seen' }
/** Taken out of where it had sealed itself in. */
const IN_HAND: Effect = { sighting: 'seen', endsSign: ['sealedIn'], endsHold: ['sealedIn'] }
const BEFORE_SHED = ['inBlue', 'premolt', 'sealedIn'] as const satisfies readonly HoldKind[]

const seen = [{ when: 'always', holds: always, effect: SEEN }]
const inHand = [{ when: 'always', holds: always, effect: IN_HAND }]

/** Fact × belief → effect: all that a kind of fact shows besides what it says itself. A kind that shows nothing has no
 * lines. The first line that fits counts. */
export const EVIDENCE: { readonly [K in keyof ResidentKinds]: readonly Line<K>[] } = {
  registered: [],
  expected: [],
  arrived: [],
  moved: [
    { when: 'nobody was found', holds: ({ payload }) => payload.found === 0, effect: {} },
    { when: 'otherwise', holds: always, effect: IN_HAND },
  ],
  died: [],
  examined: [],
  left: [],
  lost: [],
  merged: [],
  described: [],
  photographed: seen,
  permitted: [],
  staged: [],
  schooled: [],
  counted: [{ when: 'somebody was found', holds: ({ payload }) => payload.count > 0, effect: SEEN }],
  accounted: [{ when: 'some were found again', holds: ({ payload }) => payload.found > 0, effect: SEEN }],
  gained: seen,
  parted: seen,
  fed: [
    {
      when: 'it ate in view',
      holds: ({ payload: { outcome } }) => outcome === 'taken' || outcome === 'part',
      effect: { sighting: 'seen', endsSign: ['sealedIn', 'soft'], endsHold: ['sealedIn', 'soft'] },
    },
    { when: 'it was in sight', holds: ({ payload }) => payload.inSight === true, effect: SEEN },
    {
      when: 'it was refused',
      holds: ({ payload }) => payload.outcome === 'refused',
      effect: { sighting: 'untouched' },
    },
    {
      when: 'what was offered before lies there untouched',
      holds: ({ payload }) => payload.uneaten === true,
      effect: { sighting: 'untouched' },
    },
  ],
  bowl: (['alive', 'untouched', 'full'] as const).map((sighting) => ({
    when: `what is left of food or water shows: ${sighting}`,
    holds: (fact, before) => shownByBowl(before, fact) === sighting,
    effect: { sighting },
  })),
  watered: [],
  dampened: [],
  cleaned: [],
  weighed: inHand,
  measured: inHand,
  ecdysis: [
    {
      when: 'its burrow was found closed',
      holds: ({ payload }) => payload.stage === 'sealedIn',
      effect: { sighting: 'alive' },
    },
    {
      when: 'only its skin was found',
      holds: ({ payload }) => payload.skinFound === true,
      effect: { sighting: 'alive', endsHold: BEFORE_SHED },
    },
    {
      when: 'the skin came off',
      holds: ({ payload: { stage } }) => stage === 'shed' || stage === 'molted',
      effect: { sighting: 'seen', endsHold: BEFORE_SHED },
    },
    {
      when: 'it has hardened',
      holds: ({ payload }) => payload.stage === 'hardened',
      effect: { sighting: 'seen', endsHold: ['soft'] },
    },
    { when: 'any other sign was seen', holds: always, effect: SEEN },
  ],
  skinCleared: seen,
  looked: [{ when: 'it was seen', holds: ({ payload }) => payload.seen, effect: SEEN }],
  droppings: [
    {
      when: 'there were none',
      holds: ({ payload }) => payload.kind === 'none',
      effect: { sighting: 'noDroppings' },
    },
    { when: 'there were some', holds: always, effect: { sighting: 'alive' } },
  ],
  checked: [],
  companionDied: [],
  condition: seen,
  observed: [],
  noted: [],
  answered: [],
  held: [],
  released: [],
}
