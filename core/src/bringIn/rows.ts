import type { Sheet } from '../plans/sheet/sheet.ts'
import type { ListAnswers } from './answers.ts'
import { answersTo, NO_ANSWERS } from './answers.ts'
import { boxesLike } from './boxesLike.ts'
import { happenedIn, happenedToSeveral } from './happenedRow.ts'
import type { House, KnownResident } from './house.ts'
import { plain } from './house.ts'
import type { LikeReason } from './likeness.ts'
import { beyondDoubt, speciesLike } from './likeness.ts'
import type { Column, Meaning } from './columns/meaning.ts'
import { newcomerDoubted, newcomerId, newcomersIn } from './newcomerRow.ts'
import type { Cell, Cells, RowContext, RowFact, RowFault, RowMoment } from './rowReading.ts'
import { RowReading } from './rowReading.ts'
import { WhoIsWho } from './whoIsWho.ts'
import { momentOf } from './cells/when.ts'

export interface RowRead {
  /** By whose name it goes. */
  who: string
  /** Those it puts on record. */
  newcomers: readonly KnownResident[]
  facts: RowFact[]
  faults: RowFault[]
  /** As somebody answered, it is no row to bring in. */
  leftOut?: true
  /** It heads the rows below it. */
  heads?: true
  /** What its word of a species was taken for. */
  species?: { said: string; sheet: string; because: LikeReason | null }
}

/** What means the same twice is told twice, but for who it is about. */
const ONCE: readonly Meaning[] = ['number', 'name', 'species', 'stage', 'sex', 'hatched', 'arrived', 'on']

/** A bare number below "Rack" is that rack. */
function placeIn({ text, column: { header } }: Cell): string {
  return /^(?:\d+|\p{L})$/u.test(text) ? `${header} ${text}` : text
}

/** What is said in several columns of a place is one place: "Rack 2" and "tub 3". */
function withPlaces(cells: Cells): Cells {
  const [first] = cells.place ?? []
  return first ? { ...cells, place: [{ ...first, text: (cells.place ?? []).map(placeIn).join(' ') }] } : cells
}

/** Reads the rows of a list, one after the other: one that a row puts on record is known to those after it, and a
 * box that it fills is taken. A row says what is wrong with it rather than throwing. */
class RowReader {
  private readonly who: WhoIsWho
  private readonly like: ReturnType<typeof speciesLike>
  private readonly byId: ReadonlyMap<string, Sheet>
  private readonly context: Omit<RowContext, 'accepted'>
  private readonly columns: readonly Column[]
  private readonly usual: number
  /** What the last line that heads rows says of those below it. */
  private headed: Partial<Record<'species' | 'place', string>> = {}

  constructor(columns: readonly Column[], house: House, { answers, named }: ReaderOptions) {
    this.columns = columns
    this.who = new WhoIsWho(house)
    this.like = speciesLike(house.sheets)
    this.byId = new Map(house.sheets.map((sheet) => [sheet.id, sheet]))
    const columnOf = (meaning: Meaning) => {
      const at = columns.findIndex((column) => column.meaning === meaning)
      return at < 0 ? null : at
    }
    this.context = { house, answers, answerTo: answersTo(answers), columnOf, named, days: new Map() }
    this.usual = columns.filter(({ meaning, header }) => meaning !== 'ignore' && header !== '').length
  }

  /** What stands in a row, by meaning, as somebody answered that its words are to be read; null where such a row is left
   * out. */
  private cellsOf(row: readonly string[]): Cells | null {
    const cells: Cells = {}
    for (const [at, column] of this.columns.entries()) {
      const { meaning } = column
      const written = (row[at] ?? '').trim()
      // A dash says that nothing is said.
      if (meaning === 'ignore' || /^[-–—./\s]*$/u.test(written)) continue
      const answer = this.context.answerTo(meaning, written)
      if (answer === null) return null
      const text = answer ?? written
      if (text === '') continue
      if (ONCE.includes(meaning)) cells[meaning] ??= [{ text, at, column }]
      else cells[meaning] = [...(cells[meaning] ?? []), { text, at, column }]
    }
    const whole = withPlaces(cells)
    const place = whole.place?.[0]
    const answer =
      place && (cells.place?.length ?? 0) > 1 ? this.context.answerTo('place', place.text) : undefined
    if (answer === null) return null
    return place && answer ? { ...whole, place: [{ ...place, text: answer }] } : whole
  }

  private sheetOf(reading: RowReading): { sheet: Sheet | undefined; because: LikeReason | null } {
    const cell = reading.first('species')
    if (!cell) return { sheet: undefined, because: null }
    const named = this.byId.get(plain(cell.text))
    if (named) return { sheet: named, because: null }
    const likely = this.like(cell.text)
    const sure = beyondDoubt(likely)
    if (sure) return { sheet: this.byId.get(sure.sheet), because: sure.because }
    reading.wrong(cell, { code: 'unknownSpecies', said: cell.text, likely })
    return { sheet: undefined, because: null }
  }

  /** What stands in a row that fills one cell, where rows fill several. */
  private onlyIn(cells: Cells): Cell | undefined {
    const filled = Object.values(cells).flat()
    return filled.length === 1 && this.usual >= 3 ? filled[0] : undefined
  }

  /** A line of one word that is a species or a place says so of the rows below it. */
  private headsRows(cells: Cells): boolean {
    const only = this.onlyIn(cells)
    if (!only) return false
    const sheet = beyondDoubt(this.like(only.text.replace(/:$/u, '')))?.sheet
    const isPlace = this.who.namesPlace(only.text)
    if (only.column.meaning !== 'name' && only.column.meaning !== 'number') return false
    if (sheet === undefined && !isPlace) return false
    this.headed = { ...this.headed, ...(sheet === undefined ? { place: only.text } : { species: sheet }) }
    return true
  }

  /** What a line above says, where the row itself says nothing. */
  private withHeads(cells: Cells): Cells {
    const headed = (meaning: 'species' | 'place') => {
      const text = this.headed[meaning]
      const column = { header: '', meaning }
      return text !== undefined && !cells[meaning] && { [meaning]: [{ text, at: -1, column }] }
    }
    return { ...cells, ...headed('species'), ...headed('place') }
  }

  /** The moment of a row that says no day: that of all such rows, else today where it is about somebody new. */
  private undated(isNew: boolean): RowMoment | null {
    const { answers, house } = this.context
    if (answers.undatedOn !== null)
      return { moment: momentOf({ day: answers.undatedOn, minute: null }), dated: true }
    return isNew ? { moment: house.now, dated: false } : null
  }

  private momentOf(reading: RowReading, isNew: boolean): RowMoment | null {
    const on = reading.first('on')
    if (!on) return this.undated(isNew)
    // A day that cannot be read is told once, and not again by all that happened on it.
    return reading.moment(on) ?? { moment: this.context.house.now, dated: false }
  }

  /** What a row says, and what is wrong with it. `accepted`: somebody looked at its values again. */
  read(row: readonly string[], { accepted = false } = {}): RowRead {
    const nothing: RowRead = { who: '', newcomers: [], facts: [], faults: [] }
    const stand = this.cellsOf(row)
    if (!stand) return { ...nothing, leftOut: true }
    const isKnown = stand.name || stand.number ? this.who.isKnown(stand) : true
    if (!isKnown && this.headsRows(stand)) return { ...nothing, heads: true }
    const cells = this.withHeads(stand)
    const reading = new RowReading(cells, { ...this.context, accepted })
    const { sheet, because } = this.sheetOf(reading)
    const known = this.who.of(reading, sheet?.id)
    const { facts, faults } = reading
    const species = reading.first('species')
    const told = {
      ...nothing,
      who: known?.name ?? reading.first('name')?.text ?? reading.first('number')?.text ?? '',
      facts,
      faults,
      ...(species && sheet && { species: { said: species.text, sheet: sheet.id, because } }),
    }
    if (!known && !sheet) return { ...told, facts: [], faults: this.ofNobody(stand, reading) }
    // One that a row put on record before is still new in it: it says the same again.
    const isNew = sheet !== undefined && (!known || known.id === newcomerId(reading, sheet))
    const newcomers = sheet && !known ? newcomersIn(reading, { who: this.who, sheet }) : []
    const at = this.momentOf(reading, isNew)
    const undated = !reading.first('on')
    for (const one of known ? [known] : newcomers) {
      const telling = { one, at, sheet: this.byId.get(one.sheet), isNew, undated }
      if (newcomers.length > 1) happenedToSeveral(reading, telling)
      else happenedIn(reading, telling)
    }
    return { ...told, newcomers, faults: once(faults) }
  }

  /** What is wrong with a row of which nobody knows whom it is about: all of it at once. A row of one word is rather a
   * title among the rows. */
  private ofNobody(cells: Cells, reading: RowReading): RowFault[] {
    const only = this.onlyIn(cells)
    if (only)
      return [
        { column: only.at, meaning: only.column.meaning, problem: { code: 'headsRows', said: only.text } },
      ]
    const isNew = reading.first('species') !== undefined
    if (isNew) newcomerDoubted(reading, this.who)
    // Of whom nobody knows who it is, nothing else is asked.
    if (!isNew) return once(reading.faults)
    happenedIn(reading, {
      one: NOBODY,
      at: this.momentOf(reading, isNew),
      sheet: undefined,
      isNew,
      undated: true,
    })
    return once(reading.faults)
  }
}

const NOBODY: KnownResident = { id: '', number: '', name: '', sheet: '', stage: '', place: null }

/** What the words of a house tell about the columns of a list. */
export function wordsOfHouse({ sheets, boxes, now }: Pick<House, 'sheets' | 'boxes' | 'now'>) {
  const like = speciesLike(sheets)
  const placed = boxesLike(boxes)
  return {
    today: now.day,
    isSpecies: (text: string) => like(text).some(({ because }) => because.code !== 'part'),
    isPlace: (text: string) => placed(text).sure,
  }
}

/** What is wrong once is told once, whoever of several it is told of. */
function once(faults: RowFault[]): RowFault[] {
  if (faults.length < 2) return faults
  const told = new Map(faults.map((fault) => [JSON.stringify(fault), fault]))
  return [...told.values()]
}

interface ReaderOptions {
  answers: ListAnswers
  /** Facts are given the names by which they are known when they are brought in again. */
  named: boolean
}

/** Reads the rows of a list, one after the other. */
export function rowReader(
  columns: readonly Column[],
  house: House,
  { answers = NO_ANSWERS, named = true }: Partial<ReaderOptions> = {},
) {
  const reader = new RowReader(columns, house, { answers, named })
  return (row: readonly string[], how: { accepted?: boolean } = {}): RowRead => reader.read(row, how)
}
