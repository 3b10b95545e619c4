import type { KeptEntry } from '@kobrin/contract'
import type { Entry, ResidentState } from '@kobrin/core'
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
import { computed } from 'vue'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import type { Ledger } from './ledger.ts'
import { createLedger } from './ledger.ts'

function weighed(grams: number, day = TODAY): Entry {
  return entryOn(day, { kind: 'weighed', payload: { grams } })
}

function kept(entry: Entry, seq: number): KeptEntry {
  return { ...entry, stream: 1, seq, recordedAt: entry.occurredAt }
}

function openLedger(): Ledger {
  return createLedger({
    carryOn: continueFrom,
    emptyOf: emptyState,
    familyOf: (entry) => (isAmendment(entry) ? null : (familyOf(entry.kind) ?? null)),
    begins: (entry) => !isAmendment(entry) && founds(entry),
    echoesIn: (entries) => effectiveFacts(entries).flatMap(echoesOf),
  })
}

function load(ledger: Ledger, seq: number, ...entries: Entry[]): void {
  ledger.load('tamsin', { family: 'resident', state: stateOf(...entries), upTo: { 1: seq } })
}

const tamsin = (ledger: Ledger) => (ledger.stateOf('tamsin') ?? emptyState('resident')) as ResidentState
const gramsOf = (ledger: Ledger) => tamsin(ledger).growth.weights.map(({ grams }) => grams)

describe('the ledger', () => {
  it('shows what was made here at once, and changes nothing when the server has kept it', () => {
    const ledger = openLedger()
    load(ledger, 5, weighed(60))
    const mine = weighed(61)
    ledger.add([mine])
    expect(gramsOf(ledger)).toEqual([60, 61])
    expect(ledger.heard(kept(mine, 6))).toBe(false)
    expect(gramsOf(ledger)).toEqual([60, 61])
  })

  it('hears an entry of its own twice, by receipt and by feed, and counts it once', () => {
    const ledger = openLedger()
    load(ledger, 0)
    const mine = weighed(61)
    ledger.add([mine])
    ledger.add([mine])
    ledger.heard(kept(mine, 1))
    ledger.heard(kept(mine, 1))
    expect(gramsOf(ledger)).toEqual([61])
  })

  it('takes back what the server would not keep', () => {
    const ledger = openLedger()
    load(ledger, 0)
    const mine = weighed(61)
    ledger.add([mine])
    ledger.drop(mine)
    expect(gramsOf(ledger)).toEqual([])
  })

  it('asks the server when an entry reaches back before what it was told', () => {
    const ledger = openLedger()
    const known = weighed(60)
    load(ledger, 5, known)
    expect(ledger.heard(kept(weighed(50, TODAY - 9), 6))).toBe(true)
    const correction = entryOn(TODAY, {
      kind: 'corrected',
      payload: { target: known.uid, to: { kind: 'weighed', payload: { grams: 65 } }, why: 'Slip.' },
    })
    expect(ledger.heard(kept(correction, 7))).toBe(true)
  })

  it('keeps what still waits when the server tells a newer fold', () => {
    const ledger = openLedger()
    load(ledger, 0)
    const [theirs, mine] = [weighed(60), weighed(61)]
    ledger.add([mine])
    load(ledger, 1, theirs)
    expect(gramsOf(ledger)).toEqual([60, 61])
  })

  it('shows after a reload what was fed here before a colleague’s newest entry, and still waits', () => {
    const mine = entryOn(TODAY, { kind: 'fed', payload: { item: 'crickets', outcome: 'taken' } })
    const theirs = entryOn(TODAY, { kind: 'watered', payload: {} })
    const ledger = openLedger()
    load(ledger, 9, theirs)
    ledger.add([mine])
    expect(tamsin(ledger).done).toMatchObject({ feed: { uid: mine.uid }, water: { uid: theirs.uid } })
  })

  it('never goes back when answers overtake each other', () => {
    const ledger = openLedger()
    const [first, second] = [weighed(60), weighed(61)]
    load(ledger, 9, first, second)
    load(ledger, 8, first)
    expect(gramsOf(ledger)).toEqual([60, 61])
  })

  it('starts over with what waits here when the record was put back to an earlier state', () => {
    const ledger = openLedger()
    load(ledger, 9, weighed(60), weighed(61))
    const mine = weighed(62)
    ledger.add([mine])
    ledger.startOver()
    load(ledger, 4, weighed(60))
    expect(gramsOf(ledger)).toEqual([60, 62])
  })

  it('asks for a new fold before what lies beyond the old one grows without end, and lets go of it', () => {
    const ledger = openLedger()
    load(ledger, 0)
    const entries = Array.from({ length: 60 }, (_, index) => weighed(60 + index))
    const asked = entries.map((entry, index) => ledger.heard(kept(entry, index + 1)))
    expect(asked.slice(0, 30)).toEqual(Array.from({ length: 30 }, () => false))
    expect(asked.at(-1)).toBe(true)
    load(ledger, 60, ...entries)
    expect(ledger.recent('tamsin')).toEqual([])
  })

  it('asks the server about a subject of which it heard nothing that it knows', () => {
    const ledger = openLedger()
    const odd = { ...weighed(60), subject: 'bell', kind: 'rung' } as unknown as Entry
    expect(ledger.heard(kept(odd, 1))).toBe(true)
    ledger.load('bell', { family: 'bells' as never, state: { rung: 1 } as never, upTo: { 1: 1 } })
    expect(ledger.stateOf('bell')).toEqual({ rung: 1 })
    expect(ledger.keptFold('bell', { 1: 1 })).toMatchObject({ state: { rung: 1 } })
  })

  it('keeps the server’s fold where what came since cannot be folded here', () => {
    const complain = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    const ledger = createLedger({
      carryOn: () => {
        throw new Error('A shape of tomorrow.')
      },
      emptyOf: emptyState,
      familyOf: (entry) => (isAmendment(entry) ? null : (familyOf(entry.kind) ?? null)),
      begins: (entry) => !isAmendment(entry) && founds(entry),
      echoesIn: (entries) => effectiveFacts(entries).flatMap(echoesOf),
    })
    load(ledger, 5, weighed(60))
    expect(ledger.heard(kept(weighed(61), 6))).toBe(true)
    expect(gramsOf(ledger)).toEqual([60])
    expect(ledger.keptFold('tamsin', { 1: 6 })).toMatchObject({ stale: true })
    expect(complain).toHaveBeenCalled()
    complain.mockRestore()
  })

  it('wakes only what watches the subject that changed', () => {
    const ledger = openLedger()
    load(ledger, 0)
    ledger.load('bollard', { family: 'resident', state: stateOf(), upTo: {} })
    let looks = 0
    const bollard = computed(() => {
      looks += 1
      return ledger.stateOf('bollard')?.facts
    })
    expect(bollard.value).toBe(0)
    ledger.add([weighed(60)])
    expect(bollard.value).toBe(0)
    expect(looks).toBe(1)
  })

  it('begins a subject with what was made here: a newcomer needs no network', () => {
    const ledger = openLedger()
    ledger.add([
      entryOn(TODAY, { kind: 'floorKept', payload: { of: 'tamsin', at: 'Larder' } }, { subject: 'lot' }),
    ])
    expect(ledger.stateOf('lot')).toMatchObject({ floor: { of: 'tamsin', where: 'Larder' } })
  })

  it('believes in the end what a replay says, whatever was made here or heard from elsewhere, and when', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 1, max: 500 })), { maxLength: 20 }),
        (made) => {
          const ledger = openLedger()
          load(ledger, 0)
          const entries = made.map(([, grams]) => weighed(grams))
          made.forEach(([mine], index) => {
            const entry = entries[index]
            if (!entry) return
            if (mine) ledger.add([entry])
            ledger.heard(kept(entry, index + 1))
          })
          expect(tamsin(ledger)).toEqual(replay('resident', entries))
        },
      ),
    )
  })
})
