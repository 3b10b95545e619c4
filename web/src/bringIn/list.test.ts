import { describe, expect, it } from 'vitest'
import { sheetOf } from '../testing/residents.ts'
import type { Mended } from '@kobrin/core'
import { NO_ANSWERS } from '@kobrin/core'
import type { HouseInBrief } from './list.ts'
import { factsOf, guessesOf, understand } from './list.ts'
import type { Lines } from './readTable.ts'
import { decoded, readSheets, tableBelow } from './readTable.ts'
import { UnreadTable } from './unreadTable.ts'

const HOUSE: HouseInBrief = {
  residents: [{ id: 'gaff', number: '0001', name: 'Gaff', sheet: 'gecko', stage: 'adult', place: null }],
  sheets: [sheetOf()],
  boxes: [],
  bounds: { 'gecko adult': { grams: { range: [10, 100], of: 'sheet' }, mm: {} } },
  now: { day: 20_600, minute: 600 },
  zone: 'Europe/London',
  says: { longPast: 'Long ago', someFood: 'food' },
}

const csv = (text: string) => new Blob([text])
const NOTHING: Lines = { name: '', filled: [] }
const readTable = async (file: Blob, head: number | null = null) =>
  tableBelow((await readSheets(file)).sheets[0] ?? NOTHING, head)

async function readingOf(text: string, mended: [number, Mended][] = []) {
  const table = await readTable(csv(text))
  const columns = guessesOf(table, HOUSE).map(({ column }) => column)
  return { table, reading: { columns, house: HOUSE, answers: NO_ANSWERS, mended: new Map(mended) } }
}

describe('a file', () => {
  it('is read whatever separates its columns, and without its empty rows', async () => {
    const { headers, rows } = await readTable(csv('Name;Weight\r\nGaff;61,5\r\n\r\n;\r\n"Or;lop";60\r\n'))
    expect([headers, rows]).toEqual([
      ['Name', 'Weight'],
      [
        ['Gaff', '61,5'],
        ['Or;lop', '60'],
      ],
    ])
  })

  it('may have titles and empty lines above its head, which is found or said', async () => {
    const file = csv(
      'Reptile room 2026\n\nprinted 3 May;;\nName;Species;Weight\nGaff;Gecko;61\nOrlop;Gecko;60\n',
    )
    const found = await readTable(file)
    expect([found.head, found.headers, found.rows.length]).toEqual([4, ['Name', 'Species', 'Weight'], 2])
    expect(await readTable(file, 5)).toMatchObject({ head: 5, headers: ['Gaff', 'Gecko', '61'] })
    await expect(readTable(file, 6)).rejects.toMatchObject({ code: 'empty' })
  })

  it.each([
    [[0xef, 0xbb, 0xbf, 0x43, 0xc3, 0xa9], 'Cé', false],
    [[0x43, 0xe9], 'Cé', true],
    [[0xff, 0xfe, 0x43, 0x00, 0xe9, 0x00], 'Cé', false],
  ])('of bytes %o is "%s"', (bytes, text, oldLetters) => {
    expect(decoded(new Uint8Array(bytes))).toEqual({ text, oldLetters })
  })

  it('has "as above" where a quotation mark stands alone, and keeps what is quoted', async () => {
    const { rows } = await readTable(csv('Name;Rack;Note\nGaff;R1;"a;b"\nOrlop;";\nBilge;";x\n'))
    expect(rows).toEqual([
      ['Gaff', 'R1', 'a;b'],
      ['Orlop', '"', ''],
      ['Bilge', '"', 'x'],
    ])
    const quoted = await readTable(csv('Name;Note\nGaff;";"\nOrlop;"x"\n'))
    expect(quoted.rows).toEqual([
      ['Gaff', ';'],
      ['Orlop', 'x'],
    ])
  })

  it.each([
    [new Blob([new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 1])]), 'oldWorkbook'],
    [new Blob([new Uint8Array([0x50, 0x4b, 3, 4, 9, 9])]), 'noWorkbook'],
    [new Blob([new Uint8Array([1, 0, 0, 2, 0, 10])]), 'noText'],
    [csv('Name;Weight\n'), 'empty'],
    [csv(''), 'empty'],
  ])('that cannot be read says why: %#', async (file, code) => {
    await expect(readTable(file)).rejects.toThrow(UnreadTable)
    await expect(readTable(file)).rejects.toMatchObject({ code })
  })
})

describe('a list', () => {
  const LIST = 'Name,Date,Weight\nGaff,2026-05-03,61\nGaff,2026-05-04,6100\nNobody,2026-05-05,60'

  it('says what it comes to and which rows have to be mended', async () => {
    const { table, reading } = await readingOf(LIST)
    const { rows, facts, faultyCount, faulty } = understand(table, reading)
    expect([rows, facts, faultyCount]).toEqual([3, 2, 2])
    expect(faulty.map(({ row, line, faults }) => [row, line, faults[0]?.problem.code])).toEqual([
      [1, 3, 'implausible'],
      [2, 4, 'nobody'],
    ])
    const titled = await readingOf(`Spring\n\n${LIST}`)
    expect(understand(titled.table, titled.reading).faulty.map(({ line }) => line)).toEqual([5, 6])
  })

  it('is mended cell by cell, accepted, or left out row by row', async () => {
    const { table, reading } = await readingOf(LIST, [
      [1, { cells: { 2: '61.5' } }],
      [2, { leftOut: true }],
    ])
    expect(understand(table, reading)).toMatchObject({ facts: 2, faultyCount: 0, leftOut: 1 })
    const accepted = await readingOf(LIST, [
      [1, { accepted: true }],
      [2, { leftOut: true }],
    ])
    expect(understand(accepted.table, accepted.reading)).toMatchObject({ faultyCount: 0 })
  })

  it('has the same facts under the same names each time, in the zone of the house, and each once', async () => {
    const { table, reading } = await readingOf(`${LIST}\nGaff,2026-05-03,61`, [
      [1, { cells: { 2: '61.5' } }],
      [2, { leftOut: true }],
    ])
    const facts = factsOf(table, reading)
    expect(facts).toEqual(factsOf(table, reading))
    expect(facts).toMatchObject([
      { subject: 'gaff', kind: 'weighed', occurredAt: '2026-05-03T11:00:00.000Z', payload: { grams: 61 } },
      { occurredAt: '2026-05-04T11:00:00.000Z' },
    ])
    expect(facts[0]?.uid).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-5/)
  })
})
