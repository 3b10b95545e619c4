import { describe, expect, it } from 'vitest'
import { differences } from './difference.ts'
import { sheetFaults } from './faults.ts'
import { sheetQuestions } from './questions.ts'
import { Sheet } from './sheet.ts'

const feed = { id: 'feed', does: 'feed', cadence: { type: 'every', days: 7, tolerance: 1 } }

function sheetOf(more: object = {}): Sheet {
  return Sheet.parse({
    id: 'testling',
    common: 'Testling',
    latin: 'Testudo testis',
    group: 'snake',
    lives: 'individual',
    stages: [
      { id: 'young', name: 'Young', until: { grams: 200 }, duties: [feed] },
      { id: 'adult', name: 'Adult', duties: [feed] },
    ],
    sources: ['common husbandry practice'],
    ...more,
  })
}

const said = (more: object) =>
  sheetFaults(sheetOf(more)).map(({ path, says }) => `${path.join('.')}: ${says}`)

function adultDuty(duty: object) {
  const { stages } = sheetOf()
  return { stages: [stages[0], { id: 'adult', name: 'Adult', duties: [{ ...feed, ...duty }] }] }
}

describe('a sheet that cannot stand', () => {
  it('is sound to begin with', () => {
    expect(said({})).toEqual([])
  })

  it.each([
    [
      { targets: [{ zone: 'warm', celsius: [30, 33], ceilingCelsius: 32 }] },
      'targets.0.ceilingCelsius: warm: the ceiling of 32 °C is not above the 33 °C that are wanted there.',
    ],
    [
      { targets: [{ zone: 'warm', celsius: [33, 30] }] },
      'targets.0.celsius: warm: the range begins at 33 and ends below it, at 30.',
    ],
    [
      adultDuty({ cadence: { type: 'every', days: 7 } }),
      'stages.1.duties.0.cadence: feed: it has no window. Say with "tolerance" how many days early or late it may be done.',
    ],
    [
      adultDuty({ window: { from: 600, until: 500 } }),
      'stages.1.duties.0.window: feed: its window closes before it opens.',
    ],
    [
      { never: ['avocado'], ...adultDuty({ foods: [{ item: 'avocado' }] }) },
      'stages.1.duties.0.foods.0: feed: avocado must never be offered.',
    ],
    [
      {
        stages: [
          { id: 'young', name: 'Young', duties: [feed] },
          { id: 'adult', name: 'Adult', duties: [feed] },
        ],
      },
      'stages.0.until: Nobody can reach Adult: Young does not say when it ends.',
    ],
    [
      adultDuty({ amount: { by: 'massShare', share: [0.1, 0.15] }, foods: [{ item: 'mouse' }] }),
      'stages.1.duties.0.foods: feed: a share of body weight needs the grams of every size.',
    ],
    [
      adultDuty({ amount: { by: 'portion', grams: 5, min: 10, max: 20 } }),
      'stages.1.duties.0.amount: feed: the portion of 5 g lies outside its bounds, 10 to 20 g.',
    ],
    [
      { signs: [{ sign: 'Gasping', severity: 'urgent', first: 'Wait.' }] },
      'signs.0: "Gasping" is urgent: its first step has to name the vet.',
    ],
    [
      {
        schools: [
          {
            id: 'heat',
            question: 'Heat from where?',
            default: 'sky',
            options: [
              { id: 'above', name: 'Above', reason: 'Sun.' },
              { id: 'below', name: 'Below', reason: 'Stone.' },
            ],
          },
        ],
      },
      'schools.0.default: Heat from where? The default "sky" is not one of its options.',
    ],
  ])('%# is refused with a sentence', (more, sentence) => {
    expect(said(more)).toEqual([sentence])
  })

  it('finds a ceiling below a target that only a school brings in', () => {
    const option = (id: string, celsius: number[]) => ({
      id,
      name: id,
      reason: 'So.',
      targets: [{ zone: 'warm', celsius }],
    })
    const schools = [
      {
        id: 'heat',
        question: 'How warm?',
        default: 'mild',
        options: [option('mild', [28, 30]), option('hot', [34, 38])],
      },
    ]
    const targets = [{ zone: 'warm', celsius: [28, 30], ceilingCelsius: 36 }]
    expect(said({ schools, targets })).toEqual([
      'schools.0.options.1.targets.0.ceilingCelsius: warm: the ceiling of 36 °C is not above the 38 °C that are wanted there.',
    ])
  })

  it('finds a stage in which nobody can be', () => {
    const stages = [
      { id: 'a', name: 'First', until: { grams: 300 }, duties: [feed] },
      { id: 'b', name: 'Second', until: { grams: 200 }, duties: [feed] },
      { id: 'c', name: 'Third', duties: [feed] },
    ]
    expect(said({ stages })).toEqual([
      'stages.1.until.grams: Nobody stays in Second: First already ends at 300, and this at 200.',
    ])
  })
})

describe('what looks like a slip of the unit', () => {
  it.each([
    [{ targets: [{ zone: 'warm', celsius: [86, 90] }] }, 'warm: 90 °C? If that was °F, it is 32 °C.'],
    [
      { targets: [{ zone: 'air', humidity: [0.6, 0.8] }] },
      'air: 0.8 % humidity? A share of 0.8 is written 80.',
    ],
    [{ targets: [{ zone: 'air', ceilingCelsius: 95 }] }, 'air, ceiling: 95 °C? If that was °F, it is 35 °C.'],
  ])('%# is asked about', (more, question) => {
    expect(sheetQuestions(sheetOf(more)).map(({ says }) => says)).toEqual([question])
  })

  it('asks nothing about a tortoise that basks at 40 °C', () => {
    const targets = [{ zone: 'basking', celsius: [35, 40], ceilingCelsius: 45, humidity: [40, 60] }]
    expect(sheetQuestions(sheetOf({ targets }))).toEqual([])
  })
})

describe('differences between two sheets', () => {
  it('names each field by what its list calls it', () => {
    const other = sheetOf(adultDuty({ cadence: { type: 'every', days: 10, tolerance: 1 } }))
    expect(differences(sheetOf(), other)).toEqual([
      { path: 'stages.adult.duties.feed.cadence.days', before: 7, after: 10 },
    ])
  })

  it('is nothing between a sheet and itself, and tells a line added', () => {
    expect(differences(sheetOf(), sheetOf())).toEqual([])
    expect(differences(sheetOf(), sheetOf({ cautions: ['Bites.'] }))).toEqual([
      { path: 'cautions', before: [], after: ['Bites.'] },
    ])
  })
})
