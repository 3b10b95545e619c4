import { happenedIn, tellsOfDay } from './happenedRow.ts'
import type { House } from './house.ts'
import { plain } from './house.ts'
import type { Column } from './meaning.ts'
import { newcomerId, newcomerIn, sheetsByName } from './newcomerRow.ts'
import type { Cells, RowFact, RowFault } from './rowReading.ts'
import { RowReading } from './rowReading.ts'
import { WhoIsWho } from './whoIsWho.ts'

export interface RowRead {
  /** By whose name it goes. */
  who: string
  isNew: boolean
  facts: RowFact[]
  faults: RowFault[]
}

/** What stands in a row, by meaning. Of two columns that mean the same, the first that is filled in counts. */
function cellsOf(columns: readonly Column[], row: readonly string[]): Cells {
  const cells: Cells = {}
  columns.forEach((column, at) => {
    const text = (row[at] ?? '').trim()
    if (column.meaning !== 'ignore' && text !== '') cells[column.meaning] ??= { text, at, column }
  })
  return cells
}

/** Reads the rows of a list, one after the other: one that a row puts on record is known to those after it, and a
 * box that it fills is taken. A row says what is wrong with it rather than throwing. */
export function rowReader(columns: readonly Column[], house: House) {
  const who = new WhoIsWho(house)
  const byName = sheetsByName(house.sheets)
  const byId = new Map(house.sheets.map((sheet) => [sheet.id, sheet]))

  /** What a row says, and what is wrong with it. `accepted`: somebody looked at its values again. */
  return function read(row: readonly string[], { accepted = false } = {}): RowRead {
    const cells = cellsOf(columns, row)
    const reading = new RowReading(cells, house, accepted)
    const { species } = cells
    const sheet = species && byName.get(plain(species.text))
    if (species && !sheet) reading.wrong(species.at, { code: 'unknownSpecies', said: species.text })
    const known = who.of(reading, sheet?.id)
    const { facts, faults } = reading
    const named = known?.name ?? cells.name?.text ?? cells.number?.text ?? ''
    if (!known && !sheet) return { who: named, isNew: species !== undefined, facts, faults }
    // One that a row put on record before is still new in it: it says the same again.
    const isNew = sheet !== undefined && (!known || known.id === newcomerId(reading, sheet, house))
    // What a newcomer's row says without a day is of the day on which it is brought in.
    const now = isNew ? { moment: house.now, dated: false } : null
    const one = known ?? (sheet && now ? newcomerIn(reading, { house, who, sheet, now }) : undefined)
    const on = reading.moment(cells.on)
    const at = on ? { moment: on, dated: true } : now
    if (one && at) happenedIn(reading, { one, at, house, sheet: byId.get(one.sheet), isNew })
    else if (tellsOfDay(cells, isNew) && !cells.on) reading.wrong(null, { code: 'noDay' })
    return { who: one?.name ?? named, isNew: isNew && !known, facts, faults }
  }
}
