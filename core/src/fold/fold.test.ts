import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import { entryOn, FIRST_DAY, history, KEEPERS, retraction, uidOf } from '../testing/histories.ts'
import { advance } from './advance.ts'
import { continueFrom } from './continueFrom.ts'
import { emptyState } from './emptyState.ts'
import { replay } from './replay.ts'
import { ResidentState } from './residentState.ts'

function shuffled(entries: readonly Entry[], seed: number): Entry[] {
  return entries
    .map((entry, index) => ({ entry, key: Math.sin(seed + index * 97.3) }))
    .sort((a, b) => a.key - b.key)
    .map(({ entry }) => entry)
}

describe('the fold', () => {
  it('says the same whatever order a history arrives in', () => {
    fc.assert(
      fc.property(history, fc.nat(1000), (entries, seed) => {
        expect(replay(shuffled(entries, seed))).toEqual(replay(entries))
      }),
    )
  })

  it('advanced entry by entry, replaying where it must, equals a replay of all', () => {
    fc.assert(
      fc.property(history, (entries) => {
        let state = emptyState()
        entries.forEach((entry, index) => {
          const next = advance(state, entry)
          state = next === 'replay' ? replay(entries.slice(0, index + 1)) : next
        })
        expect(state).toEqual(replay(entries))
      }),
    )
  })

  it('carried on from a stored fold equals a replay, or says that it cannot tell', () => {
    fc.assert(
      fc.property(history, fc.nat(40), (entries, at) => {
        const { state, complete } = continueFrom(replay(entries.slice(0, at)), entries.slice(at))
        if (complete) expect(state).toEqual(replay(entries))
        else expect(entries.slice(at).some(isAmendment)).toBe(true)
      }),
    )
  })

  it('survives being stored as JSON and matches its own schema', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const state = replay(entries)
        expect(ResidentState.parse(JSON.parse(JSON.stringify(state)))).toEqual(state)
      }),
    )
  })

  it('taking everything back leaves what an empty history leaves', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const facts = entries.filter((entry) => !isAmendment(entry))
        const backs = facts.map((fact, index) => retraction(fact, uidOf(9_000_000 + index), 10_000))
        expect(replay([...facts, ...backs])).toEqual(emptyState())
      }),
    )
  })

  it('a take-back of a take-back restores the fact', () => {
    const fact = entryOn(0, 'weighed', { grams: 42 })
    const back = retraction(fact)
    expect(replay([fact, back]).weights).toEqual([])
    expect(replay([fact, back, retraction(back)])).toEqual(replay([fact]))
  })

  it('the later of two corrections counts', () => {
    const fact = entryOn(0, 'weighed', { grams: 1.6 })
    const to = (grams: number) => ({ kind: 'weighed' as const, payload: { grams } })
    const first = {
      ...retraction(fact),
      kind: 'corrected',
      payload: { target: fact.uid, to: to(16), why: 'Slip.' },
    } as Entry
    const second = {
      ...retraction(fact, undefined, 2),
      kind: 'corrected',
      payload: { target: fact.uid, to: to(1600), why: 'Slip.' },
    } as Entry
    expect(replay([fact, second, first]).weights).toMatchObject([{ grams: 1600, day: FIRST_DAY }])
  })

  it('every generated history is one the schema accepts', () => {
    fc.assert(fc.property(history, (entries) => entries.every((entry) => Entry.safeParse(entry).success)))
  })
})

describe('meals', () => {
  const meal = (day: number, outcome: 'taken' | 'refused' | 'left' | 'notOffered') =>
    entryOn(day, 'fed', { item: 'crickets', outcome })

  it('a refusal is an offer, not a meal', () => {
    const { feeds } = replay([meal(0, 'taken'), meal(3, 'refused'), meal(5, 'refused')])
    expect(feeds['feed']).toMatchObject({ refusals: 2, meals: 1, lastMeal: { day: FIRST_DAY } })
  })

  it('a meal left to find and found uneaten becomes a refusal', () => {
    const { feeds } = replay([meal(0, 'taken'), meal(4, 'left'), entryOn(5, 'bowl', { found: 'full' })])
    expect(feeds['feed']).toMatchObject({
      refusals: 1,
      lastMeal: { day: FIRST_DAY },
      lastOffer: { outcome: 'refused' },
    })
  })

  it('not offering changes neither meals nor refusals', () => {
    const { feeds, meals } = replay([meal(0, 'taken'), meal(2, 'notOffered')])
    expect(feeds['feed']).toMatchObject({ refusals: 0, lastMeal: { day: FIRST_DAY } })
    expect(meals).toBe(1)
  })

  it('remembers both people who fed on one day', () => {
    const by = (author: string, minute: number) =>
      entryOn(0, 'fed', { item: 'crickets', outcome: 'taken' }, { author, minute })
    const { fedToday } = replay([by(KEEPERS[0], 480), by(KEEPERS[1], 490)])
    expect(fedToday.map(({ by: who }) => who)).toEqual([KEEPERS[0], KEEPERS[1]])
  })
})

describe('sheds and molts', () => {
  it('a clearer sign does not restart the clock', () => {
    const state = replay([
      entryOn(0, 'ecdysis', { stage: 'dull' }),
      entryOn(3, 'ecdysis', { stage: 'inBlue' }),
    ])
    expect(state.ecdysis).toMatchObject({ stage: 'inBlue', since: FIRST_DAY })
  })

  it('a molt leaves the animal soft until somebody says it hardened', () => {
    const molted = [entryOn(0, 'ecdysis', { stage: 'premolt' }), entryOn(9, 'ecdysis', { stage: 'molted' })]
    expect(replay(molted)).toMatchObject({
      sheds: [FIRST_DAY + 9],
      ecdysis: { stage: 'soft', since: FIRST_DAY + 9 },
    })
    expect(replay([...molted, entryOn(20, 'ecdysis', { stage: 'hardened' })]).ecdysis).toBeNull()
  })

  it('old skin stays on the record until the next shed', () => {
    const kept = entryOn(0, 'ecdysis', { stage: 'shed', how: 'inPieces', retained: ['eyeCaps'] })
    expect(replay([kept]).retained).toEqual(['eyeCaps'])
    expect(replay([kept, entryOn(40, 'ecdysis', { stage: 'shed', how: 'whole' })]).retained).toEqual([])
  })

  it('sealing in is not a sighting', () => {
    const { seenOn } = replay([
      entryOn(0, 'sighted', { seen: true }),
      entryOn(4, 'ecdysis', { stage: 'sealedIn' }),
    ])
    expect(seenOn).toBe(FIRST_DAY)
  })
})
