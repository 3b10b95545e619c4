import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import {
  correction,
  entryOn,
  FIRST_DAY,
  historiesOf,
  history,
  retraction,
  told,
  uidOf,
} from '../../testing/histories.ts'
import type { FamilyName } from '../subjects/families.ts'
import { FACT_KINDS, FAMILIES } from '../subjects/families.ts'
import { emptyState, replay } from './replay.ts'
import { advance } from './advance.ts'
import { continueFrom } from './continueFrom.ts'
import type { Folded } from '../subjects/folded.ts'

const FAMILY_NAMES = Object.keys(FAMILIES) as FamilyName[]

function shuffled(entries: readonly Entry[], seed: number): Entry[] {
  return entries
    .map((entry, index) => ({ entry, key: Math.sin(seed + index * 97.3) }))
    .sort((a, b) => a.key - b.key)
    .map(({ entry }) => entry)
}

describe('the fold', () => {
  it.each(FAMILY_NAMES)('of a %s says the same whatever order a history arrives in', (family) => {
    fc.assert(
      fc.property(historiesOf(family), fc.nat(1000), (entries, seed) => {
        expect(replay(family, shuffled(entries, seed))).toEqual(replay(family, entries))
      }),
    )
  })

  it.each(FAMILY_NAMES)('of a %s, advanced entry by entry, equals a replay of all', (family) => {
    fc.assert(
      fc.property(historiesOf(family), (entries) => {
        let state: Folded = emptyState(family)
        entries.forEach((entry, index) => {
          const next = advance(state, entry)
          state = next === 'replay' ? replay(family, entries.slice(0, index + 1)) : next
        })
        expect(state).toEqual(replay(family, entries))
      }),
    )
  })

  it('carried on from a stored fold equals a replay, or says that it cannot tell', () => {
    fc.assert(
      fc.property(history, fc.nat(40), (entries, at) => {
        const { state, complete } = continueFrom(told(entries.slice(0, at)), entries.slice(at))
        if (complete) expect(state).toEqual(told(entries))
        else expect(entries.slice(at).some(isAmendment)).toBe(true)
      }),
    )
  })

  it.each(FAMILY_NAMES)('of a %s survives being stored as JSON and matches its own schema', (family) => {
    fc.assert(
      fc.property(historiesOf(family), (entries) => {
        const state = replay(family, entries)
        expect(FAMILIES[family].state.parse(JSON.parse(JSON.stringify(state)))).toEqual(state)
      }),
    )
  })

  it('taking everything back leaves what an empty history leaves', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const facts = entries.filter((entry) => !isAmendment(entry))
        const backs = facts.map((fact, index) =>
          retraction(fact, { uid: uidOf(9_000_000 + index), hoursLater: 10_000 }),
        )
        expect(told([...facts, ...backs])).toEqual(emptyState('resident'))
      }),
    )
  })

  it('a take-back of a take-back restores the fact', () => {
    const fact = entryOn(0, 'weighed', { grams: 42 })
    const back = retraction(fact)
    expect(told([fact, back]).growth.weights).toEqual([])
    expect(told([fact, back, retraction(back)])).toEqual(told([fact]))
  })

  it('the later of two corrections counts', () => {
    const fact = entryOn(0, 'weighed', { grams: 1.6 })
    const first = correction(fact, { grams: 16 })
    const second = correction(fact, { grams: 1600 }, { hoursLater: 2 })
    expect(told([fact, second, first]).growth.weights).toMatchObject([{ grams: 1600, day: FIRST_DAY }])
  })

  it('the last word counts: a correction after a take-back brings the fact back', () => {
    const fact = entryOn(0, 'weighed', { grams: 42 })
    const entries = [fact, retraction(fact), correction(fact, { grams: 43 }, { hoursLater: 2 })]
    expect(told(entries).growth.weights).toMatchObject([{ grams: 43 }])
    expect(told([...entries, retraction(fact, { hoursLater: 3 })]).growth.weights).toEqual([])
  })

  it.each(FAMILY_NAMES)('every generated history of a %s is one the schema accepts', (family) => {
    fc.assert(
      fc.property(historiesOf(family), (entries) => entries.every((entry) => Entry.safeParse(entry).success)),
    )
  })

  it('every kind of fact is generated', () => {
    const seen = new Set(
      FAMILY_NAMES.flatMap((family) => fc.sample(historiesOf(family), 300).flat()).map(({ kind }) => kind),
    )
    expect(FACT_KINDS.filter((kind) => !seen.has(kind))).toEqual([])
  })

  it('of an own entry that happened before the newest keeps it, and says that it cannot be sure', () => {
    const newest = entryOn(1, 'watered', {}, { minute: 600 })
    const mine = entryOn(1, 'fed', { item: 'crickets', outcome: 'taken' }, { minute: 540 })
    const { state, complete } = continueFrom(told([newest]), [mine])
    expect(complete).toBe(false)
    expect(state.done['feed']).toMatchObject({ uid: mine.uid })
    expect(state.cursor?.uid).toBe(newest.uid)
  })

  it('never puts somebody back who was moved once more since', () => {
    const [here, there] = [uidOf(71), uidOf(72)]
    const later = entryOn(2, 'moved', { to: there })
    const { state } = continueFrom(told([later]), [entryOn(1, 'moved', { to: here })])
    expect(state.stay.place?.enclosure).toBe(there)
  })
})
