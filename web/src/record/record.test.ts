import type { Fact } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import { historyLines } from './history.ts'
import { lifelineOption } from './lifelineOption.ts'

const weighed = entryOn(TODAY - 2, { kind: 'weighed', payload: { grams: 6.1 } })
const corrected = entryOn(TODAY - 1, {
  kind: 'corrected',
  payload: { target: weighed.uid, to: { kind: 'weighed', payload: { grams: 61 } }, why: 'Slip.' },
})
const noted = entryOn(TODAY - 1, { kind: 'noted', payload: { text: 'Loud' } })
const takenBack = entryOn(TODAY, {
  kind: 'retracted',
  payload: { target: noted.uid, why: 'Another animal.' },
})

describe('the list of entries', () => {
  const lines = historyLines([takenBack, noted, corrected, weighed])

  it('shows the newest first, whatever order they come in', () => {
    expect(lines.map(({ entry }) => entry.uid)).toEqual([noted.uid, weighed.uid])
  })

  it('shows what was said first, what counts now, and who changed it', () => {
    const [, weight] = lines
    expect(weight?.entry.payload).toEqual({ grams: 6.1 })
    expect(weight?.counts?.payload).toEqual({ grams: 61 })
    expect(weight?.amendments).toEqual([corrected])
  })

  it('keeps what was taken back, struck', () => {
    expect(lines[0]).toMatchObject({ counts: null, amendments: [takenBack] })
  })
})

describe('the lifeline', () => {
  const palette = { ink: '', soft: '', line: '', glass: '', focus: '', held: '', late: '' }
  const facts = [
    entryOn(TODAY - 9, { kind: 'fed', payload: { item: 'crickets', outcome: 'taken' } }),
    entryOn(TODAY - 6, { kind: 'fed', payload: { item: 'crickets', outcome: 'refused' } }),
    entryOn(TODAY - 5, { kind: 'weighed', payload: { grams: 60 } }),
    entryOn(TODAY - 4, { kind: 'weighed', payload: { grams: 600 } }),
    entryOn(TODAY - 3, { kind: 'ecdysis', payload: { stage: 'inBlue' } }),
    entryOn(TODAY - 2, { kind: 'ecdysis', payload: { stage: 'shed' } }),
    entryOn(TODAY - 1, { kind: 'moved', payload: { to: 'box' } }),
  ] as Fact[]

  function lanes(narrow = false) {
    const suspects = new Set(facts[3] ? [facts[3].uid] : [])
    const input = { facts, suspects, nowMs: TODAY * 86_400_000, palette, say: () => '', narrow }
    const { series } = lifelineOption(input) as {
      series: { name: string; data: [number, unknown, string][] }[]
    }
    return Object.fromEntries(series.map(({ name, data }) => [name, data.map(([, , uid]) => uid)]))
  }

  it('puts every fact in its lane, each mark carrying the entry it opens', () => {
    const at = (...indexes: number[]) => indexes.map((index) => facts[index]?.uid)
    expect(lanes()).toMatchObject({
      Taken: at(0),
      Refused: at(1),
      'Weight, g': at(2),
      Suspect: at(3),
      'Skin signs': at(4),
      'Skin off': at(5),
      Notes: at(6),
    })
  })

  it('shows the same on a narrow screen', () => {
    expect(lanes(true)).toEqual(lanes(false))
  })
})
