import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reduce } from '../fold/reduce.ts'
import type { HoldKind } from '../holds/holdKind.ts'
import { saidOn } from '../holds/holdsState.ts'
import { NOTHING_FOUND } from '../looking/lookingState.ts'
import { RESIDENT_KINDS } from '../residents/residentKinds.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { EcdysisStage } from '../skin/skinState.ts'
import type { Fact, FactKind } from '../subjects/families.ts'
import { entryOn, FIRST_DAY, saidOf, told, uidOf } from '../../testing/histories.ts'
import type { ResidentKinds } from './evidenceTable.ts'
import { EVIDENCE } from './evidenceTable.ts'
import { shownBy } from './withEvidence.ts'

const KINDS = Object.keys(RESIDENT_KINDS) as (keyof ResidentKinds)[]
const DAY = 12

const here = entryOn(0, 'arrived', { enclosure: uidOf(1) })
const SIGNS = ['dull', 'inBlue', 'premolt', 'sealedIn', 'soft'] as const satisfies readonly EcdysisStage[]
const HOLDS = [
  'inBlue',
  'premolt',
  'sealedIn',
  'soft',
  'gravid',
  'leaveBe',
] as const satisfies readonly HoldKind[]

/** What may be believed of an animal before: a sign, a hold, food laid out, when it was seen. */
const before: fc.Arbitrary<ResidentState> = fc
  .record({
    sign: fc.option(fc.constantFrom(...SIGNS)),
    hold: fc.option(fc.constantFrom(...HOLDS)),
    left: fc.boolean(),
  })
  .map(({ sign, hold, left }) =>
    told([
      here,
      entryOn(1, 'looked', { seen: true }),
      ...(sign ? [entryOn(5, 'ecdysis', { stage: sign })] : []),
      ...(hold ? [entryOn(6, 'held', { hold, reason: 'Said' })] : []),
      ...(left ? [entryOn(DAY - 1, 'fed', { item: 'roaches', outcome: 'left' })] : []),
    ]),
  )

/** What may be said of a kind; of a bowl, also of the duties there are. */
function sayingOf(kind: keyof ResidentKinds): fc.Arbitrary<Pick<Fact, 'kind' | 'payload'>> {
  if (kind !== 'bowl') return saidOf(kind)
  const bowl = fc.record({
    duty: fc.constantFrom('water', 'feed', undefined),
    found: fc.constantFrom('empty', 'leftovers', 'full'),
  })
  return fc.oneof(
    saidOf(kind),
    bowl.map((payload) => ({ kind, payload })),
  )
}

/** Kinds that say themselves what becomes of a sign, a hold or a stay. */
const SAY_SO: readonly FactKind[] = ['ecdysis', 'held', 'released', 'looked']

describe.each(KINDS)('what "%s" shows', (kind) => {
  it('is what the table says, of each belief, and nothing else', () => {
    fc.assert(
      fc.property(before, sayingOf(kind), (known, said) => {
        const fact = { ...entryOn(DAY, 'noted', { text: 'x' }), ...said } as Fact
        const { sighting, endsSign = [], endsHold = [] } = shownBy(kind, fact, known)
        const after = reduce(known, fact)
        const found = known.looking.found ?? NOTHING_FOUND
        if (sighting === 'seen') expect(after.looking).toMatchObject({ seenOn: FIRST_DAY + DAY, searches: 0 })
        else expect(after.looking.seenOn).toBe(known.looking.seenOn)
        if (sighting === 'alive') expect(after.looking.found?.aliveOn).toBe(FIRST_DAY + DAY)
        else if (sighting !== undefined && sighting !== 'seen')
          expect(after.looking.found?.[sighting]).toBe(found[sighting] + 1)
        const { sign } = known.skin
        if (sign && endsSign.includes(sign.stage)) expect(after.skin.sign).toBeNull()
        else if (!SAY_SO.includes(kind)) expect(after.skin.sign).toEqual(sign)
        for (const hold of HOLDS) {
          const stood = saidOn(known.holds, hold, FIRST_DAY + DAY) !== undefined
          const stands = saidOn(after.holds, hold, FIRST_DAY + DAY) !== undefined
          if (endsHold.includes(hold)) expect(stands).toBe(false)
          else if (!SAY_SO.includes(kind)) expect(stands).toBe(stood)
        }
      }),
    )
  })
})

describe('the table', () => {
  it('has a line for each case, and each of them comes up', () => {
    for (const kind of KINDS)
      for (const line of EVIDENCE[kind] as readonly {
        when: string
        holds: (fact: never, known: never) => boolean
      }[]) {
        const cases = fc.sample(fc.tuple(before, sayingOf(kind)), 400)
        const met = cases.some(([known, said]) =>
          line.holds({ ...entryOn(DAY, 'noted', { text: 'x' }), ...said } as never, known as never),
        )
        expect([kind, line.when, met]).toEqual([kind, line.when, true])
      }
  })

  it('counts for nobody who is gone', () => {
    const gone = told([here, entryOn(2, 'died', {})])
    expect(reduce(gone, entryOn(9, 'weighed', { grams: 40 })).looking.seenOn).toBeNull()
  })
})
