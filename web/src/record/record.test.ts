import type { Entry, Fact, Plan } from '@kobrin/core'
import { weightAhead } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { entryOn, planOf, stateOf, TODAY } from '../testing/residents.ts'
import { historyLines } from './history.ts'
import type { Known } from './lifelineInput.ts'
import { explainedSpans, isExplained, weightAheadInput, skinWindow } from './lifelineInput.ts'
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

function knownOf(facts: readonly Entry[], plan: Plan = planOf()): Known {
  const state = stateOf(...facts)
  return { facts: facts as Fact[], plan, state, holds: [], readings: {}, day: TODAY }
}

describe('what is ahead on the lifeline', () => {
  const weights = [-84, -56, -28, 0].map((day) =>
    entryOn(TODAY + day, { kind: 'weighed', payload: { grams: 60 - day / 28 } }),
  )
  const of = (plan: Plan, facts = weights) => knownOf(facts, plan)
  const bandOf = (plan: Plan) => {
    const input = weightAheadInput(of(plan))
    return input ? weightAhead(input).band : []
  }

  it('is the weight in a band that widens after the last weighing', () => {
    const band = bandOf(planOf())
    const wide = ({ low, high }: (typeof band)[number]) => high / low
    expect(band.at(-1)?.day).toBe(TODAY + 30)
    const last = band.find(({ day }) => day === TODAY)
    const [end] = band.slice(-1)
    if (!last || !end) throw new Error('There is no band.')
    expect(wide(end)).toBeGreaterThan(wide(last) * 1.1)
    expect(last.grams).toBeCloseTo(60, 0)
  })

  it('is no weight of one animal where many are on one record', () => {
    expect(bandOf({ ...planOf(), lives: 'colony' })).toEqual([])
  })

  it('is the window of the next shed, once one is on record', () => {
    const signs = { dull: 4, inBlue: 30, premolt: 8, sealedIn: 10, refusing: 2 }
    const sheds: Plan = { ...planOf(), ecdysis: { what: 'shed', days: [30, 50], signs } }
    expect(skinWindow(of(sheds))).toBeNull()
    const shed = entryOn(TODAY - 10, { kind: 'ecdysis', payload: { stage: 'shed' } })
    const window = skinWindow(of(sheds, [...weights, shed]))
    expect(window?.from).toBeGreaterThan(TODAY)
    expect(window?.from).toBeLessThan(TODAY + 30)
    expect(window?.to).toBeGreaterThan(TODAY + 35)
  })

  it('of a refusal is whether something explained it, as far back as that is looked up', () => {
    const moved = entryOn(TODAY - 20, { kind: 'moved', payload: { to: 'box' } })
    const spans = explainedSpans(of(planOf(), [...weights, moved]))
    expect([-15, -60, -500].map((ago) => isExplained(TODAY + ago, spans, TODAY))).toEqual([true, false, null])
  })
})

describe('the lifeline', () => {
  const palette = {
    ink: '',
    soft: '',
    line: '',
    glass: '',
    focus: '',
    held: '',
    late: '',
    done: '',
    wash: '',
    hatch: '',
  }
  const facts = [
    entryOn(TODAY - 9, { kind: 'fed', payload: { item: 'crickets', outcome: 'taken' } }),
    entryOn(TODAY - 6, { kind: 'fed', payload: { item: 'crickets', outcome: 'refused' } }),
    entryOn(TODAY - 5, { kind: 'weighed', payload: { grams: 60 } }),
    entryOn(TODAY - 4, { kind: 'weighed', payload: { grams: 600 } }),
    entryOn(TODAY - 3, { kind: 'ecdysis', payload: { stage: 'inBlue' } }),
    entryOn(TODAY - 2, { kind: 'ecdysis', payload: { stage: 'shed' } }),
    entryOn(TODAY - 1, { kind: 'moved', payload: { to: 'box' } }),
    entryOn(TODAY - 1, { kind: 'condition', payload: { score: 3 } }),
    entryOn(TODAY, { kind: 'condition', payload: { score: 4.5 } }),
    entryOn(TODAY, { kind: 'photographed', payload: { photo: 'it' } }),
  ] as Fact[]

  function lanes(narrow = false) {
    const known = knownOf(facts)
    const ahead = weightAheadInput(known)
    const input = {
      facts,
      weightAhead: ahead && weightAhead(ahead),
      skinWindow: skinWindow(known),
      explained: explainedSpans(known),
      other: null,
      growth: false,
      today: TODAY,
      nowMs: TODAY * 86_400_000,
      palette,
      say: () => '',
      narrow,
    }
    const { series } = lifelineOption(input) as {
      series: { name: string; data: [number, unknown, string, string?][] }[]
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
      Condition: at(7),
      'Too thin or too fat': at(8),
      Photos: at(9),
    })
  })

  it('shows the same on a narrow screen', () => {
    expect(lanes(true)).toEqual(lanes(false))
  })
})
