import { describe, expect, it } from 'vitest'
import { resolvePlan } from '../plan/resolvePlan.ts'
import { ASKABLE } from '../plausible/askable.ts'
import { sheetFaults } from './faults.ts'
import { SheetGroup } from './group.ts'
import { plainSheet, sheetIdFor, sheetLike } from './plainSheet.ts'
import { Sheet } from './sheet.ts'

const DUTIES = [{ id: 'water', does: 'water', cadence: { type: 'every', days: 1 } }]
const sheetOf = (id: string, group: string, cautions: string[]) =>
  Sheet.parse({
    id,
    common: id,
    latin: id,
    group,
    lives: 'individual',
    cautions,
    otherNames: ['Elsewhere'],
    alsoCalled: ['shorty'],
    stages: [{ id: 'adult', name: 'Adult', duties: DUTIES }],
    sources: ['common husbandry practice'],
  })
const HOUSE = [
  sheetOf('gecko', 'lizard', ['Wash hands.', 'It bites.']),
  sheetOf('skink', 'lizard', ['Wash hands.']),
  sheetOf('boa', 'snake', ['Two people.']),
]
const SAID = {
  common: 'Gargoyle gecko',
  latin: 'Rhacodactylus auriculatus',
  group: 'lizard',
  lives: 'individual',
  feedEvery: 2,
  food: 'fruit mash',
  waterEvery: 1,
  lookEvery: 1,
} as const

describe('a sheet of a few words', () => {
  it('asks for what was said, with the cautions that most of its group have and those of no other', () => {
    const sheet = plainSheet(SAID, HOUSE)
    expect(sheet).toMatchObject({
      id: 'gargoyle-gecko',
      unread: {},
      cautions: ['Wash hands.'],
      quarantineDays: ASKABLE.lizard.quarantine,
    })
    const plan = resolvePlan(sheet, { stage: 'any', day: 20_600 })
    expect('duties' in plan && plan.duties.map(({ does, cadence }) => [does, cadence])).toEqual([
      ['feed', { type: 'every', days: 2, tolerance: 0 }],
      ['water', { type: 'every', days: 1, tolerance: 0 }],
      ['look', { type: 'every', days: 1, tolerance: 0 }],
    ])
  })

  it('is a sheet for every group there is', () => {
    for (const group of SheetGroup.options)
      expect(sheetFaults(plainSheet({ ...SAID, group, feedEvery: 10 }, HOUSE)), group).toEqual([])
    for (const group of SheetGroup.options)
      expect(plainSheet({ ...SAID, group, latin: '' }, HOUSE)).toMatchObject({
        group,
        latin: 'Gargoyle gecko',
      })
  })

  it('has a name of its own', () => {
    expect(sheetIdFor('Gecko', new Set(['gecko', 'gecko-2']))).toBe('gecko-3')
    expect(sheetIdFor('Ø 99', new Set())).toBe('sheet')
  })
})

it('a sheet like another takes over its care, not its names, and says so', () => {
  const [gecko] = HOUSE
  if (!gecko) throw new Error('no sheet')
  const like = sheetLike(gecko, { common: 'Day gecko', latin: '' }, HOUSE)
  expect(like).toMatchObject({
    id: 'day-gecko',
    unread: { like: 'gecko' },
    stages: gecko.stages,
    otherNames: [],
  })
  expect(like.alsoCalled).toBeUndefined()
})
