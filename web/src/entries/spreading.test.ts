import type { KeptEntry } from '@kobrin/contract'
import type { Entry, LotState } from '@kobrin/core'
import {
  continueFrom,
  echoesOf,
  effectiveFacts,
  emptyState,
  familyOf,
  founds,
  isAmendment,
  replay,
} from '@kobrin/core'
import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import type { Ledger } from './ledger.ts'
import { createLedger } from './ledger.ts'

const LOT = '01900000-0000-7000-8000-0000000000aa'

function fed(count: number, day = TODAY): Entry {
  return entryOn(day, { kind: 'fed', payload: { item: 'crickets', count, outcome: 'taken', lot: LOT } })
}

function takenBack({ uid }: Entry): Entry {
  return entryOn(TODAY + 1, { kind: 'retracted', payload: { target: uid, why: 'A slip.' } })
}

function kept(entry: Entry, seq: number): KeptEntry {
  return { ...entry, stream: 1, seq, recordedAt: entry.occurredAt }
}

const lotOn = (seq: number, ...facts: Entry[]) => ({
  family: 'lot' as const,
  upTo: { 1: seq },
  state: replay('lot', [], effectiveFacts(facts).flatMap(echoesOf)),
})

function opened(onEchoed = vi.fn<(subject: string, isSure: boolean) => void>()) {
  const ledger = createLedger({
    carryOn: continueFrom,
    emptyOf: emptyState,
    familyOf: (entry) => (isAmendment(entry) ? null : (familyOf(entry.kind) ?? null)),
    begins: (entry) => !isAmendment(entry) && founds(entry),
    echoesIn: (entries) => effectiveFacts(entries).flatMap(echoesOf),
    onEchoed,
  })
  ledger.load('tamsin', { family: 'resident', state: stateOf(), upTo: { 1: 5 } })
  return { ledger, onEchoed }
}

function eaten(ledger: Ledger): number | undefined {
  return (ledger.stateOf(LOT) as LotState | undefined)?.given['eaten']?.pieces
}

describe('a lot that something is fed from here', () => {
  it('knows it at once, and counts it once when the server has kept it and when it tells', () => {
    const { ledger } = opened()
    ledger.load(LOT, lotOn(5))
    const mine = fed(6)
    ledger.add([mine])
    expect(eaten(ledger)).toBe(6)
    ledger.heard(kept(mine, 6))
    ledger.heard(kept(mine, 6))
    expect(eaten(ledger)).toBe(6)
    expect(ledger.keptFold(LOT, { 1: 6 })).toMatchObject({ state: { given: { eaten: { pieces: 6 } } } })
    ledger.load(LOT, lotOn(6, mine))
    expect(eaten(ledger)).toBe(6)
  })

  it('forgets it when it is taken back, or the server would not keep it', () => {
    const { ledger } = opened()
    ledger.load(LOT, lotOn(5))
    const [one, two, three] = [fed(6), fed(4), fed(3)]
    ledger.add([one, two, three])
    ledger.add([takenBack(one)])
    ledger.drop(two)
    expect(eaten(ledger)).toBe(3)
  })

  it('hears what still waits when it comes onto this device only then, and is not made up before', () => {
    const { ledger } = opened()
    const mine = fed(6)
    ledger.add([mine])
    expect(ledger.stateOf(LOT)).toBeUndefined()
    ledger.load(LOT, lotOn(5))
    expect(eaten(ledger)).toBe(6)
  })

  it('is asked for where what is said happened before what it heard already', () => {
    const { ledger, onEchoed } = opened()
    ledger.load(LOT, lotOn(5, fed(2, TODAY)))
    ledger.heard(kept(fed(6, TODAY - 3), 6))
    expect([eaten(ledger), onEchoed.mock.lastCall]).toEqual([8, [LOT, false]])
    ledger.heard(kept(fed(1, TODAY + 1), 7))
    expect(eaten(ledger)).toBe(9)
  })

  it('hears a fact that the fold of whom it is about holds already', () => {
    const { ledger } = opened()
    ledger.load(LOT, lotOn(5))
    ledger.load('tamsin', { family: 'resident', state: stateOf(), upTo: { 1: 9 } })
    ledger.heard(kept(fed(6), 6))
    expect(eaten(ledger)).toBe(6)
  })

  it('starts over with what waits', () => {
    const { ledger } = opened()
    ledger.load(LOT, lotOn(5))
    ledger.add([fed(6)])
    ledger.heard(kept(fed(2), 6))
    ledger.startOver()
    ledger.load(LOT, lotOn(9))
    expect(eaten(ledger)).toBe(6)
  })

  it('whatever is made, kept, heard and taken back, says what a replay says', () => {
    const steps = fc.array(
      fc.record({ count: fc.integer({ min: 1, max: 9 }), back: fc.boolean(), mine: fc.boolean() }),
      {
        maxLength: 20,
      },
    )
    fc.assert(
      fc.property(steps, (all) => {
        const { ledger } = opened()
        ledger.load(LOT, lotOn(5))
        const entries: Entry[] = []
        const say = (entry: Entry, mine: boolean) => {
          entries.push(entry)
          if (mine) ledger.add([entry])
          ledger.heard(kept(entry, 5 + entries.length))
        }
        for (const { count, back, mine } of all) {
          const last = entries.findLast((entry) => !isAmendment(entry))
          say(back && last ? takenBack(last) : fed(count), mine)
        }
        const told = replay('lot', [], effectiveFacts(entries).flatMap(echoesOf))
        expect((ledger.stateOf(LOT) as LotState).given).toEqual(told.given)
      }),
    )
  })

  it('goes on where what is said has a shape of tomorrow', () => {
    const complain = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    const { ledger } = opened()
    ledger.load(LOT, lotOn(5))
    const odd = { ...fed(6), payload: null } as unknown as Entry
    expect(ledger.heard(kept(odd, 6))).toBe(true)
    expect(complain).toHaveBeenCalled()
    complain.mockRestore()
  })
})
