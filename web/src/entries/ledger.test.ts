import type { KeptEntry } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { continueFrom, replay } from '@kobrin/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { computed } from 'vue'
import { entryOn, stateOf, TODAY } from '../testing/residents.ts'
import { createLedger } from './ledger.ts'

function weighed(grams: number, day = TODAY): Entry {
  return entryOn(day, { kind: 'weighed', payload: { grams } })
}

function kept(entry: Entry, seq: number): KeptEntry {
  return { ...entry, seq, recordedAt: entry.occurredAt }
}

const gramsOf = (ledger: ReturnType<typeof createLedger>) =>
  ledger.stateOf('tamsin').weights.map(({ grams }) => grams)

describe('the ledger', () => {
  it('shows what was made here at once, and changes nothing when the server has kept it', () => {
    const ledger = createLedger(continueFrom)
    ledger.load('tamsin', 5, stateOf(weighed(60)))
    const mine = weighed(61)
    ledger.add([mine])
    expect(gramsOf(ledger)).toEqual([60, 61])
    expect(ledger.heard(kept(mine, 6))).toBe(false)
    expect(gramsOf(ledger)).toEqual([60, 61])
  })

  it('hears an entry of its own twice, by receipt and by feed, and counts it once', () => {
    const ledger = createLedger(continueFrom)
    ledger.load('tamsin', 0, stateOf())
    const mine = weighed(61)
    ledger.add([mine])
    ledger.heard(kept(mine, 1))
    ledger.heard(kept(mine, 1))
    expect(gramsOf(ledger)).toEqual([61])
  })

  it('takes back what the server would not keep', () => {
    const ledger = createLedger(continueFrom)
    ledger.load('tamsin', 0, stateOf())
    const mine = weighed(61)
    ledger.add([mine])
    ledger.drop(mine)
    expect(gramsOf(ledger)).toEqual([])
  })

  it('asks the server when an entry reaches back before what it was told', () => {
    const ledger = createLedger(continueFrom)
    const known = weighed(60)
    ledger.load('tamsin', 5, stateOf(known))
    expect(ledger.heard(kept(weighed(50, TODAY - 9), 6))).toBe(true)
    const correction = entryOn(TODAY, {
      kind: 'corrected',
      payload: { target: known.uid, to: { kind: 'weighed', payload: { grams: 65 } }, why: 'Slip.' },
    })
    expect(ledger.heard(kept(correction, 7))).toBe(true)
  })

  it('keeps what still waits when the server tells a newer fold', () => {
    const ledger = createLedger(continueFrom)
    ledger.load('tamsin', 0, stateOf())
    const [theirs, mine] = [weighed(60), weighed(61)]
    ledger.add([mine])
    ledger.load('tamsin', 1, stateOf(theirs))
    expect(gramsOf(ledger)).toEqual([60, 61])
  })

  it('wakes only what watches the resident that changed', () => {
    const ledger = createLedger(continueFrom)
    ledger.load('tamsin', 0, stateOf())
    ledger.load('bollard', 0, stateOf())
    let looks = 0
    const bollard = computed(() => {
      looks += 1
      return ledger.stateOf('bollard').facts
    })
    expect(bollard.value).toBe(0)
    ledger.add([weighed(60)])
    expect(bollard.value).toBe(0)
    expect(looks).toBe(1)
  })

  it('believes in the end what a replay says, whatever was made here or heard from elsewhere, and when', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 1, max: 500 })), { maxLength: 20 }),
        (made) => {
          const ledger = createLedger(continueFrom)
          ledger.load('tamsin', 0, stateOf())
          const entries = made.map(([, grams]) => weighed(grams))
          made.forEach(([mine], index) => {
            const entry = entries[index]
            if (!entry) return
            if (mine) ledger.add([entry])
            ledger.heard(kept(entry, index + 1))
          })
          expect(ledger.stateOf('tamsin')).toEqual(replay(entries))
        },
      ),
    )
  })
})
