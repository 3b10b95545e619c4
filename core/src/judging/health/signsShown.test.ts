import { describe, expect, it } from 'vitest'
import type { Entry } from '../../facts/entries/entry.ts'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../walk/residentDay.ts'

const plan = planOf({
  signs: [{ sign: 'Blood', severity: 'act', first: 'Vet', shownBy: { fact: 'droppings', kind: 'bloody' } }],
})
const arrived = entryOn(-300, 'arrived', { enclosure: '00000000-0000-7000-8000-0000000000ff' })
const signsOn = (day: number, entries: readonly Entry[]) =>
  residentDay({ day: FIRST_DAY + day, plan, state: told([arrived, ...entries]) }).verdicts.filter(
    ({ what }) => what.code === 'sign',
  )
describe('droppings that are a sign', () => {
  const bloody = entryOn(3, 'droppings', { kind: 'bloody' })

  it('say so at once, with what the sheet says to do first', () => {
    const [sign] = signsOn(3, [bloody])
    expect(sign).toMatchObject({ severity: 'act', what: { code: 'sign', sign: 'Blood', first: 'Vet' } })
    expect(sign?.because[0]).toMatchObject({ fact: 'droppings', kind: 'bloody', day: FIRST_DAY + 3 })
  })

  it('stand until others are written down, or for a month', () => {
    expect(signsOn(20, [bloody])).toHaveLength(1)
    expect(signsOn(20, [bloody, entryOn(10, 'droppings', { kind: 'normal' })])).toEqual([])
    expect(signsOn(34, [bloody])).toEqual([])
  })
})

it('a loss is told where weights are judged, with what the sheet says to do first', () => {
  const first = planOf({
    signs: [
      {
        sign: 'Lighter',
        severity: 'act',
        first: 'Weigh it again',
        shownBy: { fact: 'loss', share: 0.1, days: 365 },
      },
    ],
  })
  const falling = [1000, 1000, 960, 920, 880, 840].map((grams, index) =>
    entryOn(index * 28, 'weighed', { grams }),
  )
  const { verdicts } = residentDay({ day: FIRST_DAY + 141, plan: first, state: told([arrived, ...falling]) })
  expect(verdicts).toMatchObject([{ severity: 'act', what: { code: 'losing', first: 'Weigh it again' } }])
})

describe('deaths that are a sign', () => {
  const dying = planOf({
    signs: [
      {
        sign: 'Dying',
        severity: 'urgent',
        first: 'Vet',
        shownBy: { fact: 'deaths', days: 7, least: 3, share: 0.05 },
      },
    ],
  })
  const shown = (day: number, ...entries: Entry[]) =>
    residentDay({ day: FIRST_DAY + day, plan: dying, state: told([arrived, ...entries]) }).verdicts.find(
      ({ what }) => what.code === 'sign',
    )
  const counted = (count: number) => entryOn(-1, 'counted', { count })
  const dead = (day: number, count: number) => entryOn(day, 'died', { count })

  it('are added up over the days the sheet names, and say of how many', () => {
    const told = [counted(40), dead(0, 1), dead(3, 2)]
    expect(shown(3, ...told)?.because[0]).toEqual({
      fact: 'deaths',
      count: 3,
      days: 7,
      of: 40,
      day: FIRST_DAY + 3,
      by: expect.any(String) as string,
    })
    expect(shown(2, counted(40), dead(0, 1), dead(2, 1))).toBeUndefined()
    expect(shown(6, ...told)).toBeDefined()
    expect(shown(7, ...told)).toBeUndefined()
  })

  it('are none where three of hundreds die in a week', () => {
    expect(shown(3, counted(200), dead(0, 1), dead(3, 2))).toBeUndefined()
    expect(shown(3, counted(200), dead(0, 1), dead(3, 9))).toBeDefined()
  })

  it('are remembered of a colony nobody has counted', () => {
    expect(shown(3, dead(0, 1), dead(3, 2))?.because[0]).toMatchObject({ count: 3, of: null })
  })

  it('are forgotten after two months', () => {
    const { health } = told([arrived, counted(40), dead(0, 1), dead(60, 1), dead(61, 1)])
    expect(health.deaths?.map(({ day }) => day - FIRST_DAY)).toEqual([60, 61])
  })
})
