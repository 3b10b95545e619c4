import { datePartsOf, readMoment, readNumber } from './cells.ts'
import type { Column, DateOrder, Guess, GuessReason, LengthUnit, MassUnit, Meaning } from './meaning.ts'
import { LENGTH_UNITS, MASS_UNITS } from './meaning.ts'
import type { BodyPart } from '../facts/growth/growthState.ts'

/** Words that head a column of each meaning, in the order in which they are looked for. */
const HEADS: readonly (readonly [Meaning, readonly string[]])[] = [
  ['weight', ['weight', 'mass', 'grams', 'weighed']],
  ['size', ['length', 'size', 'svl', 'leg span', 'legspan', 'carapace', 'girth', 'diameter', 'dls']],
  ['hatched', ['hatch', 'born', 'birth', 'dob', 'laid']],
  [
    'arrived',
    ['arriv', 'acquired', 'received', 'since', 'intake', 'came', 'got', 'bought', 'obtained', 'joined'],
  ],
  ['on', ['date', 'day', 'when', 'fed on', 'time']],
  ['species', ['species', 'taxon', 'latin', 'kind', 'animal type']],
  ['number', ['number', 'accession', 'id', 'no', 'nr', '#', 'code']],
  ['name', ['name', 'animal', 'label', 'resident', 'called']],
  ['stage', ['stage', 'age class']],
  ['sex', ['sex', 'gender']],
  [
    'place',
    ['place', 'location', 'enclosure', 'tank', 'tub', 'box', 'room', 'cage', 'vivarium', 'terrarium'],
  ],
  ['count', ['count', 'how many', 'animals', 'quantity', 'population']],
  ['origin', ['origin', 'source', 'from', 'breeder']],
  ['chip', ['chip', 'transponder', 'pit tag']],
  ['marks', ['mark', 'scar', 'distinguishing']],
  ['outcome', ['outcome', 'result', 'taken', 'eaten', 'accepted', 'refused']],
  ['amount', ['amount', 'pieces', 'portion']],
  ['food', ['food', 'prey', 'meal', 'fed', 'feed', 'item']],
  ['shed', ['shed', 'molt', 'moult', 'slough', 'ecdysis']],
  ['note', ['note', 'remark', 'comment', 'observation']],
]

const PART_WORDS: readonly (readonly [BodyPart, readonly string[]])[] = [
  ['legSpan', ['leg span', 'legspan', 'dls']],
  ['carapaceLength', ['carapace']],
  ['shellDiameter', ['shell', 'diameter']],
  ['girth', ['girth']],
  ['headWidth', ['head']],
  ['length', ['length', 'svl', 'size']],
]

function headedBy(header: string, words: readonly string[]): string | null {
  const spaced = ` ${header
    .toLowerCase()
    .replace(/[_\-()[\]/.,:]/g, ' ')
    .replace(/\s+/g, ' ')} `
  // Short words are whole words: "no" is not in "note".
  return words.find((word) => spaced.includes(word.length < 4 ? ` ${word} ` : ` ${word}`)) ?? null
}

/** Which meaning a word heads a column of; null where nobody would head one so. */
export function meaningHeaded(header: string): Meaning | null {
  return HEADS.find(([, words]) => headedBy(header, words) !== null)?.[0] ?? null
}

function unitIn<U extends string>(header: string, units: Readonly<Record<U, number>>): U | null {
  const words = header.toLowerCase().split(/[^\p{L}]+/u)
  return (Object.keys(units) as U[]).find((unit) => words.includes(unit)) ?? null
}

function unitOfCells<U extends string>(
  cells: readonly string[],
  units: Readonly<Record<U, number>>,
): U | null {
  const written = cells.map((cell) => readNumber(cell, '.')?.unit ?? readNumber(cell, ',')?.unit ?? '')
  return (Object.keys(units) as U[]).find((unit) => written.includes(unit)) ?? null
}

function guessedUnit<U extends string>(
  header: string,
  cells: readonly string[],
  units: Readonly<Record<U, number>>,
  otherwise: U,
): { unit: U; because: GuessReason } {
  const headed = unitIn(header, units)
  if (headed) return { unit: headed, because: { code: 'unit', unit: headed, from: 'header' } }
  const celled = unitOfCells(cells, units)
  if (celled) return { unit: celled, because: { code: 'unit', unit: celled, from: 'cells' } }
  return { unit: otherwise, because: { code: 'unitAssumed', unit: otherwise } }
}

/** Which sign stands before the decimals. A comma does where one is followed by other than three digits. */
function guessedDecimal(cells: readonly string[]): { sign: '.' | ','; example: string } | null {
  const comma = cells.find((cell) => /\d,(\d{1,2}|\d{4,})(?!\d)/.test(cell))
  if (comma !== undefined) return { sign: ',', example: comma }
  const point = cells.find((cell) => /\d\.\d/.test(cell))
  return point === undefined ? null : { sign: '.', example: point }
}

/** In which order the dates of a column are written; null where every one of them can be read both ways. */
function guessedOrder(cells: readonly string[]): { order: DateOrder | null; reason: GuessReason } | null {
  const dates = cells.flatMap((cell) => {
    const date = datePartsOf(cell)
    return date ? [{ cell, ...date }] : []
  })
  const first = dates[0]
  if (!first) return null
  const guessed = (order: DateOrder, because: string) => ({
    order,
    reason: { code: 'dateOrder', order, because } as const,
  })
  if (dates.every(({ yearFirst }) => yearFirst)) return guessed('ymd', first.cell)
  const dayFirst = dates.find(({ parts, yearFirst }) => !yearFirst && parts[0] > 12)
  if (dayFirst) return guessed('dmy', dayFirst.cell)
  const monthFirst = dates.find(({ parts, yearFirst }) => !yearFirst && parts[1] > 12)
  if (monthFirst) return guessed('mdy', monthFirst.cell)
  return { order: null, reason: { code: 'dateUnsure', example: first.cell } }
}

const DATED: readonly Meaning[] = ['hatched', 'arrived', 'on']

/** What a column seems to mean, by its head and what stands in it, and why. */
export function guessColumn(header: string, cells: readonly string[]): Guess {
  const filled = cells.filter((cell) => cell.trim() !== '')
  const headed = meaningHeaded(header)
  if (!headed) {
    const isDates = filled.length > 0 && filled.every((cell) => datePartsOf(cell) ?? readMoment(cell, 'ymd'))
    if (!isDates) return { column: { header, meaning: 'ignore' }, because: [{ code: 'unknown' }] }
  }
  const meaning = headed ?? 'on'
  const column: Column = { header, meaning }
  const because: GuessReason[] = headed ? [{ code: 'header', word: header }] : []
  const decimal = guessedDecimal(filled)
  if (meaning === 'weight' || meaning === 'size' || meaning === 'amount') {
    column.decimal = decimal?.sign ?? '.'
    if (decimal) because.push({ code: 'decimal', ...decimal })
  }
  if (meaning === 'weight') {
    const { unit, because: why } = guessedUnit<MassUnit>(header, filled, MASS_UNITS, 'g')
    column.mass = unit
    because.push(why)
  }
  if (meaning === 'size') {
    const { unit, because: why } = guessedUnit<LengthUnit>(header, filled, LENGTH_UNITS, 'mm')
    column.length = unit
    column.part = PART_WORDS.find(([, words]) => headedBy(header, words) !== null)?.[0] ?? 'length'
    because.push(why)
  }
  if (DATED.includes(meaning)) {
    const order = guessedOrder(filled)
    column.order = order ? order.order : 'ymd'
    if (order) because.push(order.reason)
  }
  return { column, because }
}

/** What each column of a list seems to mean. One meaning is taken by one column: the first of them. */
export function guessColumns(headers: readonly string[], rows: readonly (readonly string[])[]): Guess[] {
  const taken = new Set<Meaning>()
  return headers.map((header, index) => {
    const guess = guessColumn(
      header,
      rows.map((row) => row[index] ?? ''),
    )
    const { meaning } = guess.column
    if (meaning !== 'ignore' && meaning !== 'note' && meaning !== 'size' && taken.has(meaning))
      return { column: { header, meaning: 'ignore' }, because: guess.because }
    taken.add(meaning)
    return guess
  })
}
