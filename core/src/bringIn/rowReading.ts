import type { Draft } from '../facts/entries/entry.ts'
import type { Civil } from '../basics/time/civil.ts'
import { readMoment, readNumber } from './cells.ts'
import type { House } from './house.ts'
import { plain } from './house.ts'
import type { Column, Meaning } from './meaning.ts'

export type RowProblem =
  | { code: 'nobody'; said: string }
  | { code: 'twoOfThatName'; said: string; count: number }
  | { code: 'saysNoWho' }
  | { code: 'unknownSpecies'; said: string }
  | { code: 'unknownStage'; said: string; stages: string[] }
  | { code: 'whichStage'; stages: string[] }
  | { code: 'unknownPlace'; said: string }
  | { code: 'placeTaken'; said: string }
  | { code: 'noPlace' }
  | { code: 'noCount' }
  | { code: 'numberTaken'; said: string; by: string }
  | { code: 'notNumber'; said: string }
  | { code: 'notDay'; said: string }
  | { code: 'orderUnsaid'; said: string }
  | { code: 'toCome'; said: string }
  | { code: 'noDay' }
  | { code: 'noFood' }
  | { code: 'unknownWord'; said: string }
  | { code: 'implausible'; said: string; low: number; high: number; unit: 'g' | 'mm' }
  | { code: 'tooLong'; most: number }

/** What is wrong with a row, at the column it stands in; null of the row as a whole. */
export interface RowFault {
  column: number | null
  problem: RowProblem
}

/** A fact of a row: whom it is about, when, and the name by which it is known when it is brought in again. */
export type RowFact = Pick<Draft, 'subject' | 'kind' | 'payload'> & { uid: string; moment: Civil }

export interface Cell {
  text: string
  at: number
  column: Column
}

export type Cells = Partial<Record<Meaning, Cell>>

/** A moment, and whether the row says it. */
export interface RowMoment {
  moment: Civil
  dated: boolean
}

/** Says a fact of somebody at a moment. */
export type Say = (kind: Draft['kind'], payload: object) => void

/** One row while it is read: what it says, and what is wrong with it. */
export class RowReading {
  readonly facts: RowFact[] = []
  readonly faults: RowFault[] = []

  readonly cells: Cells
  /** Somebody looked at its values again, and they are so. */
  readonly accepted: boolean
  private readonly house: House

  constructor(cells: Cells, house: House, accepted: boolean) {
    this.cells = cells
    this.house = house
    this.accepted = accepted
  }

  wrong(at: number | null | undefined, problem: RowProblem): void {
    this.faults.push({ column: at ?? null, problem })
  }

  saysOf(subject: string, { moment, dated }: RowMoment): Say {
    return (kind, payload) => {
      // What has no day of its own is the same fact on whatever day it is brought in.
      const at = dated ? [moment.day, moment.minute] : []
      const content = JSON.stringify([subject, kind, ...at, payload])
      const uid = this.house.idOf(content)
      this.facts.push({ subject, kind, payload, moment, uid })
    }
  }

  moment(cell: Cell | undefined): Civil | null {
    if (!cell) return null
    const { text: said, at, column } = cell
    const read = readMoment(said, column.order ?? null)
    const { now } = this.house
    if (!read) this.wrong(at, { code: column.order === null ? 'orderUnsaid' : 'notDay', said })
    else if (read.day > now.day) this.wrong(at, { code: 'toCome', said })
    else return read.day === now.day && read.minute > now.minute ? { ...read, minute: now.minute } : read
    return null
  }

  number(cell: Cell | undefined): { value: number; unit: string } | null {
    if (!cell) return null
    const read = readNumber(cell.text, cell.column.decimal ?? '.')
    if (read && read.value > 0) return read
    this.wrong(cell.at, { code: 'notNumber', said: cell.text })
    return null
  }

  word<T>(cell: Cell | undefined, words: Readonly<Record<string, T>>): T | null {
    if (!cell) return null
    const word = words[plain(cell.text)]
    if (word !== undefined) return word
    this.wrong(cell.at, { code: 'unknownWord', said: cell.text })
    return null
  }

  /** A number in a unit; the one written beside it outranks that of the column. */
  measured<U extends string>(
    cell: Cell | undefined,
    units: Readonly<Record<U, number>>,
    otherwise: U,
  ): number | null {
    const read = this.number(cell)
    if (!read) return null
    const unit = read.unit in units ? (read.unit as U) : otherwise
    // Without the dust of multiplying: 1.1 kg is 1100 g.
    return Number((read.value * units[unit]).toPrecision(10))
  }

  within(value: number, range: readonly [number, number] | undefined, cell: Cell, unit: 'g' | 'mm'): void {
    if (!range || this.accepted || (value >= range[0] && value <= range[1])) return
    this.wrong(cell.at, { code: 'implausible', said: cell.text, low: range[0], high: range[1], unit })
  }
}
