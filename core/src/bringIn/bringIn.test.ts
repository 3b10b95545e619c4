import { describe, expect, it } from 'vitest'
import { kindOf } from '../facts/subjects/families.ts'
import { Sheet } from '../plans/sheet/sheet.ts'
import { guessColumn, guessColumns } from './columns/guess.ts'
import { headLineOf } from './columns/head.ts'
import type { House } from './house.ts'
import type { Column, Meaning } from './columns/meaning.ts'
import { rowReader } from './rows.ts'

const TODAY = 20_600
const iso = (day: number) => new Date(day * 86_400_000).toISOString().slice(0, 10)

describe('the line that names the columns', () => {
  it.each([
    [
      'the first, as most lists have it',
      [
        ['Name', 'Weight'],
        ['Gaff', '61'],
      ],
      0,
    ],
    ['below a title', [['Weights and sheds, spring'], ['Name', 'Weight'], ['Gaff', '61']], 1],
    [
      'below a title that fills two cells',
      [
        ['Animals', 'May'],
        ['Name', 'Species', 'Sex'],
        ['Gaff', 'x', 'm'],
      ],
      1,
    ],
    [
      'never a row that speaks of boxes and food',
      [
        ['Who', 'Tub', 'Fed'],
        ['Gaff', 'tub 3', 'fed'],
        ['Orlop', 'box', 'no'],
      ],
      0,
    ],
    [
      'the first full one where no word is known',
      [
        ['Tiere 2026', '', ''],
        ['Tier', 'Gewicht', 'Fach'],
        ['Gaff', '61', 'R1'],
      ],
      1,
    ],
    ['the first where there is one column', [['Gaff'], ['Orlop']], 0],
    ['the first of nothing', [], 0],
  ])('is %s', (_, lines, at) => {
    expect(headLineOf(lines)).toBe(at)
  })
})

describe('what a column seems to mean', () => {
  it.each<[string, string[], Partial<Column>]>([
    ['Animal', ['Gaff'], { meaning: 'name' }],
    ['Accession no.', ['0012'], { meaning: 'number' }],
    ['Weight (kg)', ['1.2'], { meaning: 'weight', mass: 'kg' }],
    ['Weight', ['61 g', '62 g'], { meaning: 'weight', mass: 'g' }],
    ['Weight', ['2 lb'], { meaning: 'weight', mass: 'lb' }],
    ['Weight', ['1.2 kg 12/5', '1.4'], { meaning: 'weight', mass: 'kg' }],
    // Where those with a unit do not agree, the others are not taken for the largest of them.
    ['Weight', ['62g 12/5', '~60', '3 lb 4 oz', '1,5 kg'], { meaning: 'weight', mass: 'g' }],
    ['Grams', ['61,5'], { meaning: 'weight', mass: 'g', decimal: ',' }],
    ['Leg span, cm', ['12'], { meaning: 'size', part: 'legSpan', length: 'cm' }],
    ['Date', ['2026-05-03'], { meaning: 'on', order: 'ymd' }],
    ['Date', ['03/04/2026', '17/04/2026'], { meaning: 'on', order: 'dmy' }],
    ['Date', ['03/04/2026', '04/17/2026'], { meaning: 'on', order: 'mdy' }],
    ['Date', ['03/04/2026', '05/06/2026'], { meaning: 'on', order: null }],
    ['Hatched', ['2024-03-01'], { meaning: 'hatched' }],
    ['Came', ['2024-03-01'], { meaning: 'arrived' }],
    ['Date we got it', ['2024-03-01'], { meaning: 'arrived' }],
    ['Notes', ['x'], { meaning: 'note' }],
    ['Favourite colour', ['blue'], { meaning: 'ignore' }],
  ])('"%s" over %o is %o', (header, cells, column) => {
    expect(guessColumn(header, cells, { today: TODAY }).column).toMatchObject(column)
  })

  it('says why, also where it only assumes', () => {
    expect(guessColumn('Weight', ['61,5'], { today: TODAY }).because).toEqual([
      { code: 'header', word: 'Weight' },
      { code: 'decimal', sign: ',', example: '61,5' },
      { code: 'unitAssumed', unit: 'g' },
    ])
    expect(guessColumn('Date', ['03/04/2026'], { today: TODAY }).because).toContainEqual({
      code: 'dateUnsure',
      example: '03/04/2026',
    })
  })

  it('gives a meaning to one column only', () => {
    const guesses = guessColumns(['Name', 'Animal name', 'Note', 'Remark'], [['a', 'b', 'c', 'd']], {
      today: TODAY,
    })
    expect(guesses.map(({ column }) => column.meaning)).toEqual(['name', 'ignore', 'note', 'note'])
  })
})

const DUTIES = [{ id: 'water', does: 'water', cadence: { type: 'every', days: 1 } }]

function sheetOf(part: object): Sheet {
  return Sheet.parse({
    group: 'lizard',
    lives: 'individual',
    stages: [
      { id: 'hatchling', name: 'Hatchling', duties: DUTIES },
      { id: 'adult', name: 'Adult', duties: DUTIES },
    ],
    sources: ['common husbandry practice'],
    ...part,
  })
}

const SHEETS = [
  sheetOf({ id: 'gecko', common: 'Leopard gecko', latin: 'Eublepharis macularius' }),
  sheetOf({
    id: 'isopod',
    common: 'Zebra isopod',
    latin: 'Armadillidium maculatum',
    lives: 'colony',
    group: 'isopod',
    stages: [{ id: 'culture', name: 'Culture', duties: DUTIES }],
  }),
]
const STAGE = 'Adult'

function house(part: Partial<House> = {}): House {
  return {
    residents: [
      { id: 'gaff', number: '0001', name: 'Gaff', sheet: 'gecko', stage: 'adult', place: 'b1' },
      { id: 'orlop', number: '0002', name: 'Orlop', sheet: 'gecko', stage: 'adult', place: 'b2' },
      { id: 'twin', number: '0003', name: 'Orlop', sheet: 'gecko', stage: 'adult', place: null },
    ],
    sheets: SHEETS,
    boxes: [
      { id: 'b1', name: 'Tar Room · Rack · shelf 1, place 1', taken: true },
      { id: 'b2', name: 'Tar Room · Rack · shelf 1, place 2', taken: true },
      { id: 'b3', name: 'Tar Room · Rack · shelf 1, place 3', taken: false },
      { id: 'b4', name: 'Tar Room · Rack · shelf 1, place 4', taken: false },
    ],
    boundsOf: () => ({ grams: { range: [1, 200], of: 'sheet' }, mm: {} }),
    now: { day: TODAY, minute: 600 },
    says: { longPast: 'Long ago', someFood: 'food' },
    ...part,
  }
}

const columnsOf = (...meanings: Meaning[]): Column[] =>
  meanings.map((meaning) => ({ header: meaning, meaning, order: 'ymd', decimal: '.' }))
const read = (meanings: Meaning[], row: string[], part: Partial<House> = {}, accepted = false) =>
  rowReader(columnsOf(...meanings), house(part))(row, { accepted })
const codes = (meanings: Meaning[], row: string[]) =>
  read(meanings, row).faults.map(({ column, problem }) => [column, problem.code])

describe('a row about somebody who lives here', () => {
  it.each<[Meaning[], string[]]>([
    [
      ['number', 'on', 'weight'],
      ['0001', '2026-05-03', '61.5'],
    ],
    [
      ['name', 'on', 'weight'],
      [' gaff ', '2026-05-03', '61.5'],
    ],
    [
      ['place', 'on', 'weight'],
      ['tar room · rack · shelf 1, place 1', '2026-05-03', '61.5'],
    ],
  ])('is of them by %o', (meanings, row) => {
    const { facts, faults, who } = read(meanings, row)
    expect([faults, who]).toEqual([[], 'Gaff'])
    expect(facts).toMatchObject([
      { subject: 'gaff', kind: 'weighed', payload: { grams: 61.5 }, moment: { minute: 720 } },
    ])
  })

  it('tells several things at once, each a fact the record takes', () => {
    const { facts, faults } = read(
      ['name', 'on', 'food', 'amount', 'outcome', 'shed', 'note', 'chip', 'marks'],
      ['Gaff', '2026-05-03 08:00', 'crickets', '5', 'part', 'in pieces', 'Shy', '985 1', 'A nick'],
    )
    expect(faults).toEqual([])
    expect(facts.map(({ kind }) => kind)).toEqual(['described', 'fed', 'ecdysis', 'noted'])
    for (const { kind, payload } of facts)
      expect(kindOf(kind as never).payload.safeParse(payload)).toMatchObject({ success: true })
    expect(facts[1]?.payload).toEqual({ item: 'crickets', count: 5, outcome: 'part' })
  })

  it('reads what stands beside a number before what heads the column', () => {
    const column: Column = { header: 'w', meaning: 'weight', mass: 'g', decimal: '.' }
    const { facts } = rowReader(
      [...columnsOf('name', 'on'), column],
      house(),
    )(['Gaff', '2026-05-03', '0.061 kg'])
    expect(facts[0]?.payload).toEqual({ grams: 61 })
  })

  it.each<[Meaning[], string[], (number | string | null)[][]]>([
    [['number', 'on', 'weight'], ['0009', '2026-05-03', '61'], [[0, 'nobody']]],
    [['name', 'on', 'weight'], ['Orlop', '2026-05-03', '61'], [[0, 'twoOfThatName']]],
    [['on', 'weight'], ['2026-05-03', '61'], [[null, 'saysNoWho']]],
    [['name', 'weight'], ['Gaff', '61'], [[null, 'noDay']]],
    [['name', 'on', 'weight'], ['Gaff', 'May', '61'], [[1, 'roughDay']]],
    [['name', 'on', 'weight'], ['Gaff', 'soon', '61'], [[1, 'notDay']]],
    [['name', 'on', 'weight'], ['Gaff', '2030-05-03', '61'], [[1, 'toCome']]],
    [['name', 'on', 'weight'], ['Gaff', '2026-05-03', 'heavy'], [[2, 'notNumber']]],
    [['name', 'on', 'weight'], ['Gaff', '2026-05-03', '6150'], [[2, 'implausible']]],
    [['name', 'on', 'food', 'outcome'], ['Gaff', '2026-05-03', 'mouse', 'perhaps'], [[3, 'unknownWord']]],
  ])('%o %o: %o', (meanings, row, faults) => {
    expect(codes(meanings, row)).toEqual(faults)
  })

  it('is asked about a day that can be read both ways', () => {
    const columns: Column[] = [
      ...columnsOf('name'),
      { header: 'on', meaning: 'on', order: null },
      ...columnsOf('note'),
    ]
    const { faults } = rowReader(columns, house())(['Gaff', '03/04/2026', 'Shy'])
    expect(faults).toEqual([
      { column: 1, meaning: 'on', problem: { code: 'orderUnsaid', said: '03/04/2026' } },
    ])
  })

  it('keeps a value that somebody looked at again', () => {
    const { facts, faults } = read(['name', 'on', 'weight'], ['Gaff', '2026-05-03', '6150'], {}, true)
    expect(faults).toEqual([])
    expect(facts[0]?.payload).toEqual({ grams: 6150, confirmed: true })
  })
})

describe('a row about somebody new', () => {
  const meanings: Meaning[] = [
    'name',
    'number',
    'species',
    'stage',
    'sex',
    'place',
    'hatched',
    'arrived',
    'origin',
  ]
  const row = ['Bilge', 'TR-7', 'leopard gecko', STAGE, '0.1', 'Rack', '2024-03-01', '2025-01-05', 'A rescue']

  it('puts it on record in the next free box of the bay', () => {
    const { facts, faults, newcomers } = read(meanings, row)
    expect([faults, newcomers.length]).toEqual([[], 1])
    expect(facts).toMatchObject([
      { kind: 'registered', payload: { name: 'Bilge', number: 'TR-7', sheet: 'gecko', sex: 'female' } },
      { kind: 'arrived', payload: { enclosure: 'b3', source: 'A rescue' } },
    ])
    expect(kindOf('registered').payload.safeParse(facts[0]?.payload)).toMatchObject({ success: true })
  })

  it('takes on record today what was here before, whatever day the row says', () => {
    const { facts } = read([...meanings, 'on', 'weight'], [...row, '2025-11-05', '61'])
    const today = house().now
    expect(facts.map(({ kind, moment }) => [kind, moment.day === today.day])).toEqual([
      ['registered', true],
      ['arrived', true],
      ['weighed', false],
    ])
    const hereSince = (facts[1]?.payload as { hereSince: number }).hereSince
    expect(iso(hereSince)).toBe('2025-01-05')
    expect(iso(facts[2]?.moment.day ?? 0)).toBe('2025-11-05')
  })

  it('says a weight without a day of its own of the day it is brought in, not of the day it came', () => {
    const { facts } = read([...meanings, 'weight'], [...row, '61'])
    expect(facts.at(-1)).toMatchObject({ kind: 'weighed', moment: house().now })
  })

  it('is known to the rows after it, and its box is taken', () => {
    const reader = rowReader(columnsOf('name', 'species', 'stage', 'place', 'on', 'weight'), house())
    const first = reader(['Bilge', 'Leopard gecko', STAGE, 'Rack', '2025-01-05', '40'])
    const again = reader(['Bilge', '', '', '', '2025-02-05', '44'])
    const next = reader(['Strake', 'Leopard gecko', STAGE, 'Rack', '2025-01-05', ''])
    const late = reader(['Thole', 'Leopard gecko', STAGE, 'Rack', '2025-01-05', ''])
    expect(first.facts.map(({ kind }) => kind)).toEqual(['registered', 'arrived', 'weighed'])
    expect(again.facts).toMatchObject([{ subject: first.facts[0]?.subject, payload: { grams: 44 } }])
    expect(next.facts[1]?.payload).toEqual({ enclosure: 'b4', hereSince: null })
    expect(late.faults).toEqual([
      { column: 3, meaning: 'place', problem: { code: 'placeTaken', said: 'Rack' } },
    ])
  })

  it.each<[number, string, (number | string | null)[][]]>([
    [2, 'dragon', [[2, 'unknownSpecies']]],
    [3, 'egg sac', [[3, 'unknownStage']]],
    [3, '', [[3, 'whichStage']]],
    [4, 'both', [[4, 'unknownWord']]],
    [5, 'Attic', [[5, 'unknownPlace']]],
    [5, '', [[5, 'noPlace']]],
    [1, '0001', [[1, 'numberTaken']]],
    [0, 'x'.repeat(81), [[0, 'tooLong']]],
  ])('with column %i "%s": %o', (at, said, faults) => {
    expect(
      codes(
        meanings,
        row.map((cell, index) => (index === at ? said : cell)),
      ),
    ).toEqual(faults)
  })

  it('is somebody else than one of its name and another species', () => {
    const told = read(
      meanings,
      row.map((cell, at) =>
        at === 0 ? 'Gaff' : at === 1 ? '' : at === 2 ? 'Zebra isopod' : at === 3 ? 'Culture' : cell,
      ),
    )
    expect(told.newcomers).toHaveLength(1)
    expect(codes(['name', 'species', 'on', 'note'], ['Gaff', 'Dragon', '2026-05-03', 'Shy'])).toEqual([
      [1, 'unknownSpecies'],
    ])
  })

  it('asks how many a colony is', () => {
    const colony = ['Zebra D', '', 'Zebra isopod', 'Culture', '', 'Rack', '', '', '']
    expect(codes(meanings, colony)).toContainEqual([null, 'noCount'])
  })

  it('brought in again says nothing else: every fact has the name it had', () => {
    const columns = columnsOf('name', 'species', 'stage', 'place', 'weight', 'count')
    const told = ['Bilge', 'Leopard gecko', STAGE, 'Rack', '40', '']
    const first = rowReader(columns, house())(told)
    const one = {
      id: first.facts[0]?.subject ?? '',
      number: '0004',
      name: 'Bilge',
      sheet: 'gecko',
      stage: 'adult',
      place: 'b3',
    }
    const later = house({ now: { day: TODAY + 9, minute: 30 } })
    const second = rowReader(columns, { ...later, residents: [...later.residents, one] })(told)
    expect(second).toMatchObject({ newcomers: [], faults: [] })
    const uids = new Set(first.facts.map(({ uid }) => uid))
    expect(second.facts.length).toBeGreaterThan(0)
    expect(second.facts.every(({ uid }) => uids.has(uid))).toBe(true)
  })
})

describe('a molt of long ago', () => {
  it('leaves nobody waiting for a skin to harden', () => {
    const part = {
      residents: [{ id: 'z', number: '0009', name: 'Zebra', sheet: 'isopod', stage: 'adult', place: null }],
    }
    const on = (day: string) =>
      read(['name', 'on', 'shed'], ['Zebra', day, 'yes'], part).facts.map(({ kind }) => kind)
    expect(on('2025-05-03')).toEqual(['ecdysis', 'released'])
    expect(on(iso(TODAY - 3))).toEqual(['ecdysis'])
  })
})
