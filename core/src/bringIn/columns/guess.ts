import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { Day } from '../../basics/time/day.ts'
import { readSexes } from '../cells/manyWritten.ts'
import type { Column, DateOrder, Guess, GuessReason, LengthUnit, MassUnit, Meaning } from './meaning.ts'
import { LENGTH_UNITS, MASS_UNITS } from './meaning.ts'
import { outcomeNamed } from '../cells/offered.ts'
import { isEither, readQuantity, signIn, unitNamed } from '../cells/quantity.ts'
import { quantityBeside } from '../cells/quantityBeside.ts'
import { orderIn, readWhen, whenIn } from '../cells/when.ts'

/** Words that head a column of each meaning, in the order in which they are looked for. */
const HEADS: readonly (readonly [Meaning, readonly string[]])[] = [
  ['weight', ['weight', 'mass', 'grams', 'weighed', 'wt', 'bw']],
  ['size', ['length', 'size', 'svl', 'leg span', 'legspan', 'carapace', 'girth', 'diameter', 'dls', 'ls']],
  ['hatched', ['hatch', 'born', 'birth', 'dob', 'laid', 'd o b', 'age']],
  [
    'arrived',
    [
      'arriv',
      'acquired',
      'received',
      'since',
      'intake',
      'came',
      'got',
      'bought',
      'obtained',
      'joined',
      'purchased',
    ],
  ],
  ['outcome', ['outcome', 'result', 'eaten', 'accepted', 'refused', 'ate', 'taken']],
  ['shed', ['shed', 'molt', 'moult', 'slough', 'ecdysis']],
  ['amount', ['amount', 'pieces', 'portion']],
  ['food', ['food', 'prey', 'meal', 'fed', 'feed', 'item', 'diet']],
  ['on', ['date', 'day', 'when', 'time']],
  [
    'species',
    ['species', 'taxon', 'latin', 'kind', 'animal type', 'type', 'scientific', 'common name', 'sp'],
  ],
  ['number', ['number', 'accession', 'id', 'no', 'nr', '#', 'code']],
  ['name', ['name', 'animal', 'label', 'resident', 'called', 'who']],
  ['stage', ['stage', 'age class', 'life stage']],
  ['sex', ['sex', 'gender', 'm/f', 'm f']],
  [
    'place',
    [
      'place',
      'location',
      'enclosure',
      'tank',
      'tub',
      'box',
      'room',
      'cage',
      'viv',
      'terrarium',
      'rack',
      'shelf',
      'bay',
      'drawer',
      'position',
      'where',
    ],
  ],
  ['count', ['count', 'how many', 'animals', 'quantity', 'population', 'qty', 'numbers', 'colony size']],
  ['origin', ['origin', 'source', 'from', 'breeder', 'cb/wc']],
  ['chip', ['chip', 'transponder', 'pit tag']],
  ['marks', ['mark', 'scar', 'distinguishing', 'morph']],
  ['note', ['note', 'remark', 'comment', 'observation', 'info', 'other', 'misc']],
]

const PART_WORDS: readonly (readonly [BodyPart, readonly string[]])[] = [
  ['legSpan', ['leg span', 'legspan', 'dls', 'ls']],
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

/** "Population", "numbers" and "animals" count; "number" and "animal" tell who. */
const COUNTS = /^\s*(?:numbers|animals|no\.? of .*|# of .*|number of .*|how many.*)\s*$/iu

/** Which meaning a word heads a column of; null where nobody would head one so. */
export function meaningHeaded(header: string): Meaning | null {
  if (COUNTS.test(header)) return 'count'
  return HEADS.find(([, words]) => headedBy(header, words) !== null)?.[0] ?? null
}

function unitIn<U extends string>(header: string, units: Readonly<Record<U, number>>): U | null {
  const words = header
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .map(unitNamed)
  return (Object.keys(units) as U[]).find((unit) => words.includes(unit)) ?? null
}

function unitOfCells<U extends string>(
  cells: readonly string[],
  units: Readonly<Record<U, number>>,
): U | null {
  const written = cells.map((cell) => quantityBeside(cell, '.')?.unit ?? '')
  // Those that have one speak for themselves; of the others they tell where they agree.
  const found = new Set(written.filter((unit) => unit !== ''))
  const [only] = found
  const isCommon = written.filter((unit) => unit === only).length * 2 >= cells.length
  return found.size === 1 && isCommon
    ? ((Object.keys(units) as U[]).find((unit) => unit === only) ?? null)
    : null
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

/** Which sign stands before the decimals of those cells that do not tell by themselves; null where others tell both or
 * none does. */
function guessedDecimal(
  cells: readonly string[],
): { sign: '.' | ',' | null; example: string; reason: GuessReason } | null {
  const told = cells.flatMap((cell) => {
    const sign = signIn(cell)
    return sign ? [{ cell, sign }] : []
  })
  const either = cells.find(isEither)
  const signs = new Set(told.map(({ sign }) => sign))
  const [first] = told
  if (first && (signs.size === 1 || either === undefined)) {
    const { cell, sign } = first
    return { sign, example: cell, reason: { code: 'decimal', sign, example: cell } }
  }
  if (either === undefined) return null
  return { sign: null, example: either, reason: { code: 'decimalUnsure', example: either } }
}

interface OrderFound {
  order: DateOrder | null
  example: string
}

/** In which order the dates of some cells are written; null where every one of them can be read both ways. */
function orderFound(cells: readonly string[]): OrderFound | null {
  const found = cells.flatMap((cell) => {
    const order = orderIn(cell)
    return order ? [{ cell, order }] : []
  })
  const first = found[0]
  if (!first) return null
  const telling = found.find(({ order }) => order === 'dmy' || order === 'mdy')
  const either = found.find(({ order }) => order === 'either')
  if (telling) return { order: telling.order as DateOrder, example: telling.cell }
  if (either) return { order: null, example: either.cell }
  return { order: 'ymd', example: first.cell }
}

/** In which order the dates of a column are written: as its own cells tell, else as those of the whole list do. */
function guessedOrder(
  cells: readonly string[],
  list: OrderFound | null,
): { order: DateOrder | null; reason: GuessReason } | null {
  const own = orderFound(cells)
  if (!own)
    return list?.order
      ? { order: list.order, reason: { code: 'dateOrder', order: list.order, because: list.example } }
      : null
  const told = own.order === null && list?.order ? list : own
  if (told.order === null) return { order: null, reason: { code: 'dateUnsure', example: told.example } }
  return { order: told.order, reason: { code: 'dateOrder', order: told.order, because: told.example } }
}

/** Meanings whose cells may have a day in them. */
const DATED: readonly Meaning[] = ['hatched', 'arrived', 'on']
const MAY_BE_DATED: readonly Meaning[] = ['weight', 'size', 'food', 'outcome', 'shed', 'count']

export interface GuessContext {
  /** As counted on the day the list is read. */
  today: Day
  /** Whether a word seems to be a species, or a place, of this house. */
  isSpecies?: (text: string) => boolean
  isPlace?: (text: string) => boolean
  /** In which order the dates of the list are written, as far as any of them tells. */
  order?: OrderFound | null
}

const most = (cells: readonly string[], is: (cell: string) => boolean) =>
  cells.length > 0 && cells.filter(is).length * 10 >= cells.length * 7

/** What the cells of a column look like, where nothing heads it. */
function meaningOfCells(
  cells: readonly string[],
  { today, isSpecies = () => false, isPlace = () => false }: GuessContext,
): Meaning | null {
  if (most(cells, (cell) => /\p{L}{2}/u.test(cell) && isSpecies(cell))) return 'species'
  if (most(cells, (cell) => /\p{L}/u.test(cell) && isPlace(cell))) return 'place'
  if (most(cells, (cell) => readWhen(cell, { order: 'dmy', today }) !== null && !/^\d{4,5}$/u.test(cell)))
    return 'on'
  if (most(cells, (cell) => /\d/u.test(cell) && unitOfCells([cell], MASS_UNITS) !== null)) return 'weight'
  if (most(cells, (cell) => /^[mfu?♂♀]$|^\d\.\d(\.\d)?$/iu.test(cell.trim()) && readSexes(cell) !== null))
    return 'sex'
  if (most(cells, (cell) => outcomeNamed(cell) !== undefined && !/^\d$/u.test(cell))) return 'outcome'
  return null
}

/** What a column seems to mean, by its head and what stands in it, and why. */
export function guessColumn(header: string, cells: readonly string[], context: GuessContext): Guess {
  const { today, order: list = null } = context
  const filled = cells.filter((cell) => cell.trim() !== '')
  const inHead = whenIn(header, { order: list?.order ?? null, today })
  const ofDay =
    inHead !== null && inHead !== 'unsure' && inHead.to === 'day' && /\d/u.test(header) ? inHead : null
  const headed = meaningHeaded(ofDay ? ofDay.rest : header)
  const celled = headed ? null : meaningOfCells(filled, context)
  const numbers = ofDay && most(filled, (cell) => readQuantity(cell, '.') !== null) ? 'weight' : null
  const meaning = headed ?? celled ?? numbers
  if (!meaning) return { column: { header, meaning: 'ignore' }, because: [{ code: 'unknown' }] }
  const column: Column = { header, meaning }
  const because: GuessReason[] = headed
    ? [{ code: 'header', word: header }]
    : [{ code: 'cellsLike', example: filled[0] ?? '' }]
  if (ofDay && MAY_BE_DATED.includes(meaning)) {
    column.of = ofDay.day
    because.push({ code: 'dayInHead', day: ofDay.day })
  }
  withNumbers(column, header, filled, because)
  const dated =
    DATED.includes(meaning) || (MAY_BE_DATED.includes(meaning) && filled.some((cell) => orderIn(cell)))
  if (dated) {
    const order = guessedOrder(filled, list)
    column.order = order ? order.order : 'ymd'
    if (order) because.push(order.reason)
  }
  return { column, because }
}

/** How the numbers of a column are read. */
function withNumbers(
  column: Column,
  header: string,
  filled: readonly string[],
  because: GuessReason[],
): void {
  const { meaning } = column
  if (meaning === 'weight' || meaning === 'size' || meaning === 'amount' || meaning === 'count') {
    const decimal = guessedDecimal(filled)
    column.decimal = decimal ? decimal.sign : '.'
    if (decimal) because.push(decimal.reason)
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
}

/** What several columns may mean: each of them tells, or they are one together. */
const MANY: readonly Meaning[] = ['ignore', 'note', 'size', 'weight', 'place', 'food', 'shed', 'outcome']

/** What each column of a list seems to mean. But for those of which there may be several, one meaning is taken by one
 * column: the first of them. */
export function guessColumns(
  headers: readonly string[],
  rows: readonly (readonly string[])[],
  context: Omit<GuessContext, 'order'>,
): Guess[] {
  const taken = new Set<Meaning>()
  const order = orderFound(rows.flat())
  return headers.map((header, index) => {
    const cells = rows.map((row) => row[index] ?? '')
    const guess = guessColumn(header, cells, { ...context, order })
    const { meaning } = guess.column
    if (!MANY.includes(meaning) && taken.has(meaning))
      return { column: { header, meaning: 'ignore' }, because: [{ code: 'takenAlready', word: header }] }
    taken.add(meaning)
    return guess
  })
}
