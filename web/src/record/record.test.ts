import type { Entry, Fact, Plan } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { entryOn, planOf, stateOf, TODAY } from '../testing/residents.ts'
import { historyLines } from './history.ts'
import { lifelineAhead } from './lifelineAhead.ts'
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

describe('what is ahead on the lifeline', () => {
  const weights = [-84, -56, -28, 0].map((day) =>
    entryOn(TODAY + day, { kind: 'weighed', payload: { grams: 60 - day / 28 } }),
  )
  const of = (plan: Plan, facts = weights) =>
    lifelineAhead({ facts: facts as Fact[], plan, state: stateOf(...facts), holds: [], day: TODAY })

  it('is the weight in a band that widens after the last weighing', () => {
    const { band } = of(planOf())
    const wide = ({ low, high }: (typeof band)[number]) => high / low
    expect(band.at(-1)?.day).toBe(TODAY + 30)
    const last = band.find(({ day }) => day === TODAY)
    const [end] = band.slice(-1)
    if (!last || !end) throw new Error('There is no band.')
    expect(wide(end)).toBeGreaterThan(wide(last) * 1.1)
    expect(last.grams).toBeCloseTo(60, 0)
  })

  it('is no weight of one animal where many are on one record', () => {
    expect(of({ ...planOf(), lives: 'colony' }).band).toEqual([])
  })

  it('is the window of the next shed, once one is on record', () => {
    const signs = { dull: 4, inBlue: 30, premolt: 8, sealedIn: 10, refusing: 2 }
    const sheds: Plan = { ...planOf(), ecdysis: { what: 'shed', days: [30, 50], signs } }
    expect(of(sheds).skinWindow).toBeNull()
    const shed = entryOn(TODAY - 10, { kind: 'ecdysis', payload: { stage: 'shed' } })
    const { skinWindow } = of(sheds, [...weights, shed])
    expect(skinWindow?.from).toBeGreaterThan(TODAY)
    expect(skinWindow?.from).toBeLessThan(TODAY + 30)
    expect(skinWindow?.to).toBeGreaterThan(TODAY + 35)
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
    const ahead = lifelineAhead({
      facts,
      plan: planOf(),
      state: stateOf(...(facts as Entry[])),
      holds: [],
      day: TODAY,
    })
    const input = { facts, ahead, nowMs: TODAY * 86_400_000, palette, say: () => '', narrow }
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
