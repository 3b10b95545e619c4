import { expect, it } from 'vitest'
import { dayFromIso, isoDay } from '../basics/time/day.ts'
import { bringInComputation } from '../compute/bringInComputation.ts'
import { kindOf } from '../facts/subjects/families.ts'
import { Sheet } from '../plans/sheet/sheet.ts'

const DUTIES = [{ id: 'water', does: 'water', cadence: { type: 'every', days: 1 } }]
function sheetOf(part: object): Sheet {
  return Sheet.parse({
    group: 'lizard',
    lives: 'individual',
    stages: [
      { id: 'juvenile', name: 'Juvenile', duties: DUTIES, until: { grams: 40, ageDays: 400 } },
      { id: 'adult', name: 'Adult', duties: DUTIES, plausible: { grams: [20, 120] } },
    ],
    sources: ['common husbandry practice'],
    ...part,
  })
}
const SHEETS = [
  sheetOf({
    id: 'leopard-gecko',
    common: 'Leopard gecko',
    latin: 'Eublepharis macularius',
    alsoCalled: ['leo'],
    quarantineDays: 90,
  }),
  sheetOf({ id: 'royal', common: 'Royal python', latin: 'Python regius', group: 'snake' }),
  sheetOf({ id: 'jumper', common: 'Regal jumping spider', latin: 'Phidippus regius', group: 'spider' }),
  sheetOf({
    id: 'zebra',
    common: 'Zebra isopod',
    latin: 'Armadillidium maculatum',
    lives: 'colony',
    group: 'isopod',
    stages: [{ id: 'culture', name: 'Culture', duties: DUTIES }],
  }),
]
const TODAY = dayFromIso('2026-12-02')
const boxes = ['Rack 1 · place 1', 'Rack 2 · place 1', 'Rack 2 · place 2', 'Rack 2 · place 3'].map(
  (name, at) => ({ id: `b${at}`, name: `Reptile Room · ${name}` }),
)
const { input, run } = bringInComputation(new Map(SHEETS.map((sheet) => [sheet.id, sheet])))
const HEAD = [
  'Name',
  'What',
  'M/F',
  'Rack',
  'Tub',
  'Hatched',
  'Here since',
  'Weight',
  'Fed',
  'Last shed',
  'Notes',
]
const ask = (lines: unknown[][], answers: object = {}, rest: object = {}) =>
  run(input.parse({ lines, answers, day: TODAY, house: { boxes }, ...rest }))
const asked = (out: ReturnType<typeof ask>) =>
  (out.questions as { problem: { code: string }; rows: number }[]).map(({ problem, rows }) => [
    problem.code,
    rows,
  ])
const of = (out: ReturnType<typeof ask>, line: number) =>
  out.facts.filter((fact) => fact.line === line).map(({ kind, day, payload }) => [kind, isoDay(day), payload])

it('reads a list as people keep it: days, units and doubts beside the numbers', () => {
  const out = ask(
    [
      ['Animals autumn 2026'],
      [],
      HEAD,
      [
        'Gaff',
        'leopard geckos',
        '1.0',
        '2',
        '1',
        '2019',
        'spring 2020',
        '62g 28/11',
        'x 27/11',
        '3/10',
        'shy',
      ],
      ['Bilge', 'Leo', 'f?', 'R2', '2', 'May 2021', '2021', '~60', 'mouse', '', '-'],
    ],
    { unstaged: ['told'] },
  )
  expect([out.head, out.newcomers, asked(out)]).toEqual([3, 2, []])
  expect(of(out, 4)).toMatchObject([
    ['registered', '2026-12-02', { sex: 'male', stage: 'adult', hatchedTo: 'year' }],
    ['arrived', '2026-12-02', { enclosure: 'b1', hereSince: dayFromIso('2020-04-15'), hereTo: 'season' }],
    ['weighed', '2026-11-28', { grams: 62 }],
    ['fed', '2026-11-27', { outcome: 'taken' }],
    ['ecdysis', '2026-10-03', { stage: 'shed' }],
    ['noted', '2026-12-02', { text: 'shy', forRecord: true }],
  ])
  expect(of(out, 5)).toMatchObject([
    ['registered', '2026-12-02', { sex: 'female', sexUnsure: true, hatchedTo: 'month' }],
    ['arrived', '2026-12-02', { enclosure: 'b2' }],
    ['weighed', '2026-12-02', { grams: 60, about: true }],
    // What it is fed, and not that it was today.
    ['noted', '2026-12-02', { text: 'Fed: mouse' }],
  ])
  for (const { kind, payload } of out.facts) {
    const whole = {
      ...(payload as object),
      ...(kind === 'arrived' && { enclosure: '00000000-0000-7000-8000-000000000001' }),
    }
    expect(kindOf(kind as never).payload.safeParse(whole)).toMatchObject({ success: true })
  }
})

it('asks once for all rows with a word, and is answered so', () => {
  const row = (name: string, what: string) => [name, what, '', 'Rack 2', '', '', '', '', '', '', '']
  const lines = [HEAD, row('Gaff', 'leopard geko'), row('Orlop', 'leopard geko'), row('Bilge', 'P. regius')]
  const open = ask(lines)
  expect(asked(open)).toEqual([
    ['unknownSpecies', 2],
    ['unknownSpecies', 1],
  ])
  const proposed = (at: number) => (open.questions[at] as { proposals: object[] }).proposals
  expect(proposed(0)).toEqual([
    { is: 'leopard-gecko', because: { code: 'spelling', name: 'Leopard gecko', letters: 1 } },
  ])
  // Two of that letter and name live here.
  expect(proposed(1)).toMatchObject([
    { is: 'royal', because: { code: 'abbreviated' } },
    { is: 'jumper', because: { code: 'abbreviated' } },
  ])
  const answered = ask(lines, {
    unstaged: ['grown'],
    words: [
      { meaning: 'species', said: 'leopard geko', is: 'leopard-gecko' },
      { meaning: 'species', said: 'P. regius', is: null },
    ],
  })
  expect([asked(answered), answered.newcomers, answered.leftOut]).toEqual([[], 2, 1])
})

it('tells all that is wrong with a row at once', () => {
  const out = ask([
    HEAD.with(1, 'Species'),
    ['Gaff', 'dragon', 'both', 'Attic', '', 'long ago', '', 'heavy', '', '', ''],
  ])
  expect(asked(out).map(([code]) => code)).toEqual([
    'unknownSpecies',
    'unknownWord',
    'notDay',
    'unknownPlace',
    'notNumber',
  ])
})

it('makes of several in one row a record each, or asks', () => {
  const lines = [HEAD, ['Twins', 'Leo', '1.1', 'Rack 2', '', '', '', '90', '', '', 'shy']]
  expect(asked(ask(lines, { unstaged: ['grown'] }))).toEqual([['several', 1]])
  const out = ask(lines, {
    unstaged: ['grown'],
    words: [{ meaning: 'count', said: '2', of: 'leopard-gecko', is: 'each' }],
  })
  expect(out.facts.map(({ kind, payload }) => [kind, (payload as { sex?: string }).sex])).toEqual([
    ['registered', 'male'],
    ['arrived', undefined],
    ['registered', 'female'],
    ['arrived', undefined],
    // Together they weigh that, and each is shy.
    ['noted', undefined],
    ['noted', undefined],
    ['noted', undefined],
    ['noted', undefined],
  ])
})

it('takes a line of one word for the rows below it, where it is a species or a place', () => {
  const out = ask(
    [
      ['Name', 'Weight', 'Sex', 'Notes'],
      ['Everybody else', '', '', ''],
      ['Rack 2', '', '', ''],
      ['Leopard geckos', '', '', ''],
      ['Gaff', '60', 'm', ''],
    ],
    { unstaged: ['told'] },
  )
  expect([out.heading, out.newcomers, asked(out)]).toEqual([2, 1, [['headsRows', 1]]])
  expect(of(out, 5)[1]).toMatchObject(['arrived', '2026-12-02', { enclosure: 'b1' }])
})

it('names who came so lately that it is kept apart still', () => {
  const row = (name: string, came: string) => [name, 'Leo', '', 'Rack 2', '', '', came, '', '', '', '']
  const out = ask([HEAD, row('Gaff', '2026-11-10'), row('Orlop', '2026-01-10'), row('Bilge', '')], {
    unstaged: ['grown'],
  })
  expect(out.lately).toEqual([
    { who: 'Gaff', cameOn: dayFromIso('2026-11-10'), until: dayFromIso('2027-02-08') },
  ])
})

it('asks which unit a number is in that no such animal has, and is answered for all of them', () => {
  const lines = [
    ['Name', 'Species', 'Rack', 'Weight (kg)'],
    ['Gaff', 'Leo', '2', '0,06'],
    ['Orlop', 'Leo', '2', '62'],
    ['Bilge', 'Leo', '2', '71'],
  ]
  const open = ask(lines, { unstaged: ['grown'] })
  expect(open.questions).toMatchObject([
    { problem: { code: 'implausible', asUnit: 'g' }, rows: 2, proposals: [{ is: 'g' }] },
  ])
  const out = ask(lines, { unstaged: ['grown'], units: { weight: 'g' } })
  const grams = out.facts.flatMap(({ kind, payload }) =>
    kind === 'weighed' ? (payload as { grams: number }).grams : [],
  )
  expect(grams).toEqual([60, 62, 71])
})

it('reads a column for each day of weighing', () => {
  const out = ask(
    [
      ['Name', '15/10', '15/11', 'Weight 30/11'],
      ['Gaff', '60', '', '62'],
      ['Gaff', '', '61,5', ''],
    ],
    {},
    {
      house: { residents: [{ id: 'g', name: 'Gaff', sheet: 'leopard-gecko', stage: 'adult' }] },
    },
  )
  expect(out.facts.map(({ day, payload }) => [isoDay(day), (payload as { grams: number }).grams])).toEqual([
    ['2026-10-15', 60],
    ['2026-11-30', 62],
    ['2026-11-15', 61.5],
  ])
})
