import { v5 as uuidv5 } from 'uuid'
import type { Draft } from '../facts/entries/entry.ts'
import type { Civil } from '../basics/time/civil.ts'
import type { AnswerTo, ListAnswers } from './answers.ts'
import type { House } from './house.ts'
import type { Likeness } from './likeness.ts'
import type { Column, Meaning } from './columns/meaning.ts'
import type { Quantity } from './cells/quantity.ts'
import { readQuantity } from './cells/quantity.ts'
import type { When, WhenRead } from './cells/when.ts'
import { momentOf, readWhen, whenIn } from './cells/when.ts'

export type RowProblem =
  | { code: 'nobody'; said: string }
  | { code: 'twoOfThatName'; said: string; count: number }
  | { code: 'saysNoWho' }
  /** It fills one cell, which names nobody: a line that heads those below it. */
  | { code: 'headsRows'; said: string }
  | { code: 'unknownSpecies'; said: string; likely: readonly Likeness[] }
  | { code: 'unknownStage'; said: string; sheet: string }
  | { code: 'whichStage'; sheet: string }
  | { code: 'unknownPlace'; said: string; likely: readonly string[] }
  | { code: 'placeTaken'; said: string }
  | { code: 'noPlace' }
  | { code: 'noCount'; sheet: string }
  /** More than one animal of a kind that is kept one by one. */
  | { code: 'several'; said: string; count: number; sheet: string }
  | { code: 'numberTaken'; said: string; by: string }
  | { code: 'notNumber'; said: string }
  | { code: 'notCount'; said: string }
  | { code: 'signUnsaid'; said: string }
  | { code: 'notDay'; said: string }
  | { code: 'orderUnsaid'; said: string }
  | { code: 'roughDay'; said: string }
  | { code: 'toCome'; said: string }
  | { code: 'noDay' }
  | { code: 'unknownWord'; said: string }
  /** `asUnit`: in that unit it would be plausible. */
  | { code: 'implausible'; said: string; low: number; high: number; unit: 'g' | 'mm'; asUnit?: string }
  | { code: 'tooLong'; most: number }

/** What is wrong with a row, at the column it stands in, or what the column would have meant; null of the row as a
 * whole. */
export interface RowFault {
  column: number | null
  meaning?: Meaning
  problem: RowProblem
}

/** A fact of a row: whom it is about, when, and the name by which it is known when it is brought in again. */
export type RowFact = Pick<Draft, 'subject' | 'kind' | 'payload'> & { uid: string; moment: Civil }

export interface Cell {
  text: string
  at: number
  column: Column
}

export type Cells = Partial<Record<Meaning, Cell[]>>

/** A moment, and whether the row says it. */
export interface RowMoment {
  moment: Civil
  dated: boolean
}

/** Says a fact of somebody at a moment. */
export type Say = (kind: Draft['kind'], payload: object) => void

/** All that is brought in is named under this: the same content has the same name in every house. */
const NAMES = 'a3f1c6de-5b0e-4c55-9d57-6a7f0e6f7d11'

/** The identity of what has this content: the same each time it is brought in. */
export function idOf(content: string): string {
  return uuidv5(content, NAMES)
}

/** What one row is read with. */
export interface RowContext {
  house: House
  answers: ListAnswers
  answerTo: AnswerTo
  /** Facts are given their names: where they are only counted nobody asks for them. */
  named: boolean
  /** Days as they were read: the same ones stand in many rows. */
  days: Map<string, WhenRead>
  /** The first column of that meaning; null where there is none. */
  columnOf: (meaning: Meaning) => number | null
  /** Somebody looked at its values again, and they are so. */
  accepted: boolean
}

/** What a cell says besides the day that stands in it. */
export interface Dated {
  text: string
  /** Null where the cell has none of its own. */
  at: RowMoment | null
}

/** In which units a number may be, and what is plausible of it, in the basic one. */
export interface UnitsOf<U extends string> {
  units: Readonly<Record<U, number>>
  /** The unit of a number without one. */
  otherwise: U
  /** The one that somebody named for numbers that would not be plausible. */
  doubted: U | undefined
  range: readonly [number, number] | undefined
  basic: 'g' | 'mm'
}

/** One row while it is read: what it says, and what is wrong with it. */
export class RowReading {
  readonly facts: RowFact[] = []
  readonly faults: RowFault[] = []
  readonly cells: Cells
  readonly context: RowContext

  constructor(cells: Cells, context: RowContext) {
    this.cells = cells
    this.context = context
  }

  get accepted(): boolean {
    return this.context.accepted
  }

  /** The first cell of that meaning. */
  first(meaning: Meaning): Cell | undefined {
    return this.cells[meaning]?.[0]
  }

  all(meaning: Meaning): readonly Cell[] {
    return this.cells[meaning] ?? []
  }

  wrong(at: Cell | Meaning | null, problem: RowProblem): void {
    if (at === null) this.faults.push({ column: null, problem })
    else if (typeof at === 'string')
      this.faults.push({ column: this.context.columnOf(at), meaning: at, problem })
    // What a line above says stands in no column of the row.
    else this.faults.push({ column: at.at < 0 ? null : at.at, meaning: at.column.meaning, problem })
  }

  saysOf(subject: string, { moment, dated }: RowMoment): Say {
    return (kind, payload) => {
      // What has no day of its own is the same fact on whatever day it is brought in.
      const at = dated ? [moment.day, moment.minute] : []
      const uid = this.context.named ? idOf(JSON.stringify([subject, kind, ...at, payload])) : ''
      this.facts.push({ subject, kind, payload, moment, uid })
    }
  }

  private whenContext(column: Column) {
    const { house } = this.context
    return { order: column.order ?? null, today: house.now.day, hemisphere: house.hemisphere }
  }

  /** A day of whatever precision. */
  when(cell: Cell | undefined): When | null {
    if (!cell) return null
    const { text: said, column } = cell
    const { days } = this.context
    const key = `${column.order} ${said}`
    const read = days.has(key) ? (days.get(key) ?? null) : readWhen(said, this.whenContext(column))
    days.set(key, read)
    if (read === 'unsure') this.wrong(cell, { code: 'orderUnsaid', said })
    else if (read === null) this.wrong(cell, { code: 'notDay', said })
    else if (read.day > this.context.house.now.day) this.wrong(cell, { code: 'toCome', said })
    else return read
    return null
  }

  private momentFrom(when: When, cell: Cell): RowMoment | null {
    const { now } = this.context.house
    if (when.day > now.day) this.wrong(cell, { code: 'toCome', said: cell.text })
    else if (when.to !== 'day' && !this.context.answers.roughDays)
      this.wrong(cell, { code: 'roughDay', said: cell.text })
    else {
      const moment = momentOf(when)
      return { moment: when.day === now.day && moment.minute > now.minute ? now : moment, dated: true }
    }
    return null
  }

  /** The moment of what happened. */
  moment(cell: Cell | undefined): RowMoment | null {
    const when = this.when(cell)
    return cell && when ? this.momentFrom(when, cell) : null
  }

  /** What a cell says, and the day that stands beside it or heads its column: "62g 12/11". Null where that day cannot be
   * read. */
  dated(cell: Cell): Dated | null {
    const when = whenIn(cell.text, this.whenContext(cell.column))
    if (when === 'unsure') {
      this.wrong(cell, { code: 'orderUnsaid', said: cell.text })
      return null
    }
    if (when) {
      const at = this.momentFrom(when, cell)
      return at && { text: when.rest, at }
    }
    const { of } = cell.column
    return {
      text: cell.text,
      at: of == null ? null : { moment: momentOf({ day: of, minute: null }), dated: true },
    }
  }

  quantity(cell: Cell, text = cell.text): Quantity | null {
    const read = readQuantity(text, cell.column.decimal ?? null)
    if (read === 'unsure') this.wrong(cell, { code: 'signUnsaid', said: cell.text })
    else if (read && read.value > 0) return read
    else this.wrong(cell, { code: 'notNumber', said: cell.text })
    return null
  }

  /** A number in a unit: the one written beside it, else that of the column; where that makes of it what no such animal
   * has, the one that somebody named for such cells. Null where it is none, or of a unit of something else. What is not
   * plausible is told, with the unit in which it would be. */
  measured<U extends string>(
    cell: Cell,
    text: string,
    { units, otherwise, doubted, range, basic }: UnitsOf<U>,
  ): { value: number; about: boolean } | null {
    const read = this.quantity(cell, text)
    if (!read) return null
    if (read.unit !== '' && !(read.unit in units)) {
      this.wrong(cell, { code: 'notNumber', said: cell.text })
      return null
    }
    // Without the dust of multiplying: 1.1 kg is 1100 g.
    const inUnit = (unit: U) => Number((read.value * units[unit]).toPrecision(10))
    const isWithin = (value: number) => !range || (value >= range[0] && value <= range[1])
    const value = inUnit(read.unit === '' ? otherwise : (read.unit as U))
    if (!range || this.accepted || isWithin(value)) return { value, about: read.about }
    if (read.unit === '' && doubted && isWithin(inUnit(doubted)))
      return { value: inUnit(doubted), about: read.about }
    const asUnit =
      read.unit === '' ? (Object.keys(units) as U[]).find((unit) => isWithin(inUnit(unit))) : undefined
    const [low, high] = range
    const problem = { code: 'implausible', said: cell.text, low, high, unit: basic } as const
    this.wrong(cell, asUnit ? { ...problem, asUnit } : problem)
    return { value, about: read.about }
  }
}
