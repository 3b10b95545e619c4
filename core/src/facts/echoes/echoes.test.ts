import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { correction, entryOn, historiesOf, retraction, uidOf } from '../../testing/histories.ts'
import { effectiveFacts } from '../entries/effectiveFacts.ts'
import type { Entry } from '../entries/entry.ts'
import { isAmendment } from '../entries/isAmendment.ts'
import { compareCursors, cursorOf } from '../entries/order.ts'
import { advance } from '../fold/advance.ts'
import { continueFrom } from '../fold/continueFrom.ts'
import { emptyState, replay } from '../fold/replay.ts'
import type { LotState } from '../lots/lotState.ts'
import type { Echo } from './echo.ts'
import { isEcho } from './echo.ts'
import { echoesOf } from './echoesOf.ts'

const LOT = uidOf(0x10_7000)

/** A history of somebody who is fed from one lot and takes young out of it. */
function fromLot(entries: readonly Entry[], who: number): Entry[] {
  const own = (uid: string) => uid.replace(/^01900000-0000/, `0190000${who}-0000`)
  return entries.map((entry) => {
    const said = isAmendment(entry)
      ? { ...entry.payload, target: own(entry.payload.target) }
      : entry.kind === 'fed' || entry.kind === 'gained'
        ? { ...entry.payload, lot: LOT }
        : entry.payload
    return { ...entry, uid: own(entry.uid), subject: uidOf(0x5_0000 + who), payload: said } as Entry
  })
}

function ofLot(entries: readonly Entry[]): Entry[] {
  return entries.map((entry) => ({ ...entry, subject: LOT }))
}

/** Two that are fed from a lot, and what was said of the lot itself. */
const house = fc
  .tuple(historiesOf('resident', 25), historiesOf('resident', 25), historiesOf('lot', 10))
  .map(([one, two, lot]) => ({ residents: [fromLot(one, 1), fromLot(two, 2)], lot: ofLot(lot) }))

function echoesIn(residents: readonly (readonly Entry[])[]): Echo[] {
  return residents.flatMap((entries) => effectiveFacts(entries).flatMap(echoesOf))
}

function inOrder<T extends Entry | Echo>(all: readonly T[]): T[] {
  return [...all].sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
}

describe('what facts about others say of a subject', () => {
  it('is folded in the order of what happened, whatever order it comes in', () => {
    fc.assert(
      fc.property(house, ({ residents, lot }) => {
        const echoes = echoesIn(residents)
        const told = replay('lot', lot, echoes)
        expect(replay('lot', lot, echoes.toReversed())).toEqual(told)
        const times = Object.values(told.given).reduce((sum, given) => sum + given.times, 0)
        expect(times).toBe(new Set(echoes.map(({ uid }) => uid)).size)
      }),
    )
  })

  it('advanced one by one is what a replay of all says', () => {
    fc.assert(
      fc.property(house, ({ residents, lot }) => {
        const all = inOrder([...lot, ...echoesIn(residents)])
        let state: LotState = emptyState('lot')
        all.forEach((one, index) => {
          const next = advance(state, one)
          const soFar = all.slice(0, index + 1)
          state =
            next === 'replay'
              ? replay(
                  'lot',
                  soFar.filter((some) => !isEcho(some)),
                  soFar.filter(isEcho),
                )
              : next
        })
        expect(state).toEqual(replay('lot', lot, echoesIn(residents)))
      }),
    )
  })

  it('carried on from a fold equals a replay, or says that it cannot tell', () => {
    fc.assert(
      fc.property(house, fc.nat(40), ({ residents, lot }, at) => {
        const all = inOrder([...lot, ...echoesIn(residents)])
        const [before, since] = [all.slice(0, at), all.slice(at)]
        const base = replay(
          'lot',
          before.filter((one) => !isEcho(one)),
          before.filter(isEcho),
        )
        const { state, complete } = continueFrom(base, since)
        if (complete) expect(state).toEqual(replay('lot', lot, echoesIn(residents)))
        else expect(since.some((one) => !isEcho(one) && isAmendment(one))).toBe(true)
      }),
    )
  })

  it('goes when all of it is taken back', () => {
    fc.assert(
      fc.property(house, ({ residents }) => {
        const back = residents.map((entries) => {
          const facts = entries.filter((entry) => !isAmendment(entry))
          return [
            ...facts,
            ...facts.map((fact, index) =>
              retraction(fact, { uid: uidOf(9_000_000 + index), hoursLater: 10_000 }),
            ),
          ]
        })
        expect(replay('lot', [], echoesIn(back))).toEqual(emptyState('lot'))
      }),
    )
  })

  it('counts a fact that says it in two units once, and neither what was not offered nor another lot', () => {
    const ate = entryOn(1, 'fed', { item: 'roaches', count: 6, grams: 2.5, outcome: 'taken', lot: LOT })
    const left = entryOn(2, 'fed', { item: 'roaches', count: 2, outcome: 'refused', lot: LOT })
    const passed = entryOn(3, 'fed', { item: 'roaches', count: 4, outcome: 'notOffered', lot: LOT })
    const { given } = replay('lot', [], echoesIn([[ate, left, passed]]))
    expect(given).toMatchObject({
      eaten: { times: 1, pieces: 6, g: 2.5, last: { uid: ate.uid } },
      offered: { times: 1, pieces: 2 },
    })
    const corrected = correction(ate, { item: 'roaches', outcome: 'taken', lot: uidOf(0x10_7001) })
    expect(echoesIn([[ate, corrected]]).map(({ subject }) => subject)).toEqual([uidOf(0x10_7001)])
  })
})
