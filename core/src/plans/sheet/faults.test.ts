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

const warm = { zone: 'warm', measures: 'air', ceilingCelsius: 36, neverBelowCelsius: 15 }

const said = (more: object) => sheetFaults(sheetOf(more)).map(({ path, what }) => [path.join('.'), what])

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
      { targets: [{ ...warm, celsius: [30, 33], ceilingCelsius: 32 }] },
      ['targets.0.ceilingCelsius', { code: 'ceilingTooLow', zone: 'warm', ceiling: 32, wanted: 33 }],
    ],
    [
      { targets: [{ ...warm, celsius: [33, 30] }] },
      ['targets.0.celsius', { code: 'backwards', of: 'warm', from: 33, to: 30 }],
    ],
    [
      { targets: [{ ...warm, celsius: [14, 30] }] },
      [
        'targets.0.neverBelowCelsius',
        { code: 'neverBelowTooHigh', zone: 'warm', neverBelow: 15, wanted: 14 },
      ],
    ],
    [
      adultDuty({ cadence: { type: 'every', days: 7 } }),
      ['stages.1.duties.0.cadence', { code: 'noTolerance', duty: 'feed' }],
    ],
    [
      adultDuty({ window: { from: 600, until: 500 } }),
      ['stages.1.duties.0.window', { code: 'windowShut', duty: 'feed' }],
    ],
    [
      { never: ['avocado'], ...adultDuty({ foods: [{ item: 'avocado' }] }) },
      ['stages.1.duties.0.foods.0', { code: 'neverOffered', duty: 'feed', item: 'avocado' }],
    ],
    [
      {
        stages: [
          { id: 'young', name: 'Young', duties: [feed] },
          { id: 'adult', name: 'Adult', duties: [feed] },
        ],
      },
      ['stages.0.until', { code: 'unreachable', stage: 'Young', next: 'Adult' }],
    ],
    [
      adultDuty({ amount: { by: 'massShare', share: [0.1, 0.15] }, foods: [{ item: 'mouse' }] }),
      ['stages.1.duties.0.foods', { code: 'sizesLack', duty: 'feed', lack: 'grams' }],
    ],
    [
      adultDuty({ amount: { by: 'portion', grams: 5, min: 10, max: 20 } }),
      ['stages.1.duties.0.amount', { code: 'portionOutside', duty: 'feed', grams: 5, min: 10, max: 20 }],
    ],
    [
      {
        never: ['prey wider than the gap between its eyes'],
        ...adultDuty({
          amount: { by: 'width', part: 'headWidth', factor: 1, count: [4, 6] },
          foods: [{ item: 'crickets', sizes: [{ size: 'S', widthMm: 2 }] }],
        }),
      },
      ['stages.1.duties.0.amount', { code: 'widerThanEyes', duty: 'feed' }],
    ],
    [
      { light: { hours: [8, 10], winterHours: [12, 14] } },
      ['light.winterHours', { code: 'winterLonger', winter: 14, summer: 10 }],
    ],
    [
      { holds: [{ hold: 'soft', stages: ['egg'], suppresses: ['feed'], endsBy: 'event' }] },
      ['holds.0.stages', { code: 'stageUnknown', stage: 'egg' }],
    ],
    [
      { signs: [{ sign: 'Gasping', severity: 'urgent', first: 'Wait.' }] },
      ['signs.0', { code: 'vetUnnamed', sign: 'Gasping' }],
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
      ['schools.0.default', { code: 'defaultUnknown', question: 'Heat from where?', option: 'sky' }],
    ],
  ])('%# is refused with its place and what is wrong', (more, fault) => {
    expect(said(more)).toEqual([fault])
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
    const targets = [{ ...warm, celsius: [28, 30], ceilingCelsius: 36 }]
    expect(said({ schools, targets })).toEqual([
      [
        'schools.0.options.1.targets.0.ceilingCelsius',
        { code: 'ceilingTooLow', zone: 'warm', ceiling: 36, wanted: 38 },
      ],
    ])
  })

  it('finds a stage in which nobody can be', () => {
    const stages = [
      { id: 'a', name: 'First', until: { grams: 300 }, duties: [feed] },
      { id: 'b', name: 'Second', until: { grams: 200 }, duties: [feed] },
      { id: 'c', name: 'Third', duties: [feed] },
    ]
    expect(said({ stages })).toEqual([
      [
        'stages.1.until.grams',
        { code: 'nobodyStays', stage: 'Second', ends: 200, earlier: 'First', earlierEnds: 300 },
      ],
    ])
  })
})

describe('what looks like a slip of the unit, or leaves out what can harm', () => {
  it.each([
    [
      { targets: [{ ...warm, celsius: [86, 90] }] },
      { code: 'fahrenheit', zone: 'warm', of: 'target', value: 90, celsius: 32 },
    ],
    [{ targets: [{ ...warm, humidity: [0.6, 0.8] }] }, { code: 'share', zone: 'warm', value: 0.8 }],
    [
      { targets: [{ ...warm, ceilingCelsius: 95 }] },
      { code: 'fahrenheit', zone: 'warm', of: 'ceiling', value: 95, celsius: 35 },
    ],
    [{ targets: [warm, { zone: 'cool' }] }, { code: 'measuresUnsaid', zone: 'cool' }],
    [
      {
        targets: [
          { ...warm, ceilingCelsius: undefined },
          { ...warm, zone: 'stone', measures: 'surface' },
        ],
      },
      { code: 'ceilingUnsaid' },
    ],
    [{ targets: [{ ...warm, neverBelowCelsius: undefined }] }, { code: 'neverBelowUnsaid' }],
  ])('%# is asked about', (more, question) => {
    expect(sheetQuestions(sheetOf(more)).map(({ what }) => what)).toEqual([question])
  })

  it('asks nothing about a tortoise that basks at 40 °C', () => {
    const basking = { zone: 'basking', measures: 'surface', celsius: [35, 40], ceilingCelsius: 45 }
    const targets = [basking, { ...warm, humidity: [40, 60] }]
    expect(sheetQuestions(sheetOf({ targets }))).toEqual([])
  })
})

describe('a season in the winter rest', () => {
  const rest = { id: 'rest', name: 'Rest', reason: 'So.', rest: { fastDays: 14, wake: ['Warm it'] } }
  const none = { id: 'none', name: 'None', reason: 'So.' }
  const ask = (season: object, stages?: string[]) => {
    const rain = { ...none, id: 'rain', name: 'Rain', season, ...(stages && { stages }) }
    return sheetQuestions(
      sheetOf({
        holds: [{ hold: 'winterRest', suppresses: ['feed'], days: 60, endsBy: 'event' }],
        schools: [
          {
            id: 'winter',
            question: 'Rest?',
            default: 'rest',
            options: [none, { ...rest, stages: ['adult'] }],
          },
          { id: 'season', question: 'Rain?', default: 'none', options: [none, rain] },
        ],
      }),
    ).flatMap(({ path, what }) => (what.code === 'seasonInRest' ? [[path.join('.'), what.option]] : []))
  }

  it.each([
    ['in January', { from: '01-05', until: '01-20' }, undefined, 1],
    ['over the new year', { from: '12-20', until: '02-20' }, ['adult'], 1],
    ['of the young, who do not rest', { from: '01-05', until: '01-20' }, ['young'], 0],
    ['in May', { from: '05-01', until: '05-20' }, undefined, 0],
    ['in February, when it is over', { from: '02-01', until: '02-20' }, undefined, 0],
  ])('%s is asked about or not', (_, season, stages, times) => {
    expect(ask(season, stages)).toEqual(Array(times).fill(['schools.1.options.1.season', 'Rain']))
  })
})

describe('advice against the never-list', () => {
  const about = (more: object) =>
    sheetQuestions(sheetOf(more)).flatMap(({ path, what }) =>
      what.code === 'adviceForbidden' ? [[path.join('.'), what.says]] : [],
    )
  const signs = (first: string) => ({
    never: ['copper', 'pinkie mice as a habit'],
    signs: [{ sign: 'Limp', severity: 'act', first }],
  })

  it.each([
    [
      'a food',
      { never: ['spinach'], ...adultDuty({ foods: [{ item: 'spinach and chard' }] }) },
      'spinach and chard',
    ],
    [
      'what to give instead',
      {
        never: ['goldfish'],
        ...adultDuty({
          amount: { by: 'massShare', share: [0.1, 0.1], instead: ['half a goldfish'] },
          foods: [{ item: 'mouse', sizes: [{ size: 'S', grams: 3 }] }],
        }),
      },
      'half a goldfish',
    ],
    ['first aid', signs('A bath with copper.'), 'A bath with copper.'],
  ])('is asked about: %s', (_, more, says) => {
    expect(about(more).map(([, said]) => said)).toEqual([says])
  })

  it.each([
    'Look for copper, salt, spray.',
    'Clean water; no copper.',
    'A coppery smell: clean it.',
    'Pinkie mice once.',
  ])('is not: %s', (first) => {
    expect(about(signs(first))).toEqual([])
  })

  it('is found in what a school adds, and in the wake of a rest', () => {
    const option = {
      id: 'a',
      name: 'A',
      reason: 'So.',
      duties: [{ ...feed, id: 'treat', label: 'Some bread' }],
    }
    const schools = [
      { id: 's', question: 'Bread?', default: 'a', options: [option, { id: 'b', name: 'B', reason: 'So.' }] },
    ]
    expect(about({ never: ['bread'], schools })).toEqual([['schools.0.options.0.duties.0', 'Some bread']])
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
