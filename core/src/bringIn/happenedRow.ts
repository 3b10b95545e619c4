import type { FeedOutcome } from '../facts/feeding/feedingState.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import { shedsSkin } from '../plans/skin/shedsSkin.ts'
import type { KnownResident } from './house.ts'
import { plain } from './house.ts'
import { readMany } from './cells/manyWritten.ts'
import { LENGTH_UNITS, MASS_UNITS } from './columns/meaning.ts'
import { originOf } from './newcomerRow.ts'
import type { Offered } from './cells/offered.ts'
import { outcomeNamed, readOffered } from './cells/offered.ts'
import { readQuantity } from './cells/quantity.ts'
import type { Cell, Dated, RowMoment, RowReading, Say } from './rowReading.ts'

const ITEM_MOST = 60
const NOTE_MOST = 4000
/** Days after which nobody waits for a skin to harden any more. */
const LONG_PAST = 30

const NO = new Set(['no', 'n', '0', '-', 'false', 'none', 'never', 'not yet', '?', 'n/a'])
/** Who is told about in a row, and when where nothing else is said: null where every cell has to say it itself. */
export interface Telling {
  one: KnownResident
  at: RowMoment | null
  sheet: Sheet | undefined
  isNew: boolean
  /** The row itself says no day. */
  undated: boolean
}

/** Says what a cell tells, at the day beside it or else that of the row; what has neither is asked for. */
function sayAt(
  reading: RowReading,
  { one, at }: Telling,
  dated: Pick<Dated, 'at'>,
): { say: Say; at: RowMoment } | null {
  const when = dated.at ?? at
  if (when) return { say: reading.saysOf(one.id, when), at: when }
  reading.wrong('on', { code: 'noDay' })
  return null
}

function describe(reading: RowReading, telling: Telling): void {
  const [origin, chip, marks] = [reading.first('origin'), reading.first('chip'), reading.first('marks')]
  const from = origin && originOf(origin.text)
  const described = {
    ...(from && { origin: from }),
    ...(chip && { chip: chip.text.slice(0, 40) }),
    ...(marks && { marks: marks.text }),
  }
  if (Object.keys(described).length === 0) return
  sayAt(reading, telling, { at: null })?.say('described', described)
}

/** A number cell, with the day that may stand beside the number. */
function numbered(reading: RowReading, cell: Cell): Dated | null {
  const whole = readQuantity(cell.text, cell.column.decimal ?? null)
  const { of } = cell.column
  if (whole === null || of != null) return reading.dated(cell)
  return { text: cell.text, at: null }
}

function weigh(reading: RowReading, telling: Telling): void {
  const { house, answers } = reading.context
  const range = house.boundsOf(telling.one.sheet, telling.one.stage)?.grams?.range
  for (const cell of reading.all('weight')) {
    const dated = numbered(reading, cell)
    const otherwise = cell.column.mass ?? 'g'
    const read =
      dated &&
      reading.measured(cell, dated.text, {
        units: MASS_UNITS,
        otherwise,
        doubted: answers.units.weight,
        range,
        basic: 'g',
      })
    if (!dated || !read) continue
    sayAt(reading, telling, dated)?.say('weighed', { grams: read.value, ...lookedAt(reading, read) })
  }
}

/** What is kept of how a number was written, and looked at. */
function lookedAt({ accepted }: RowReading, { about }: { about: boolean }): object {
  return { ...(about && { about }), ...(accepted && { confirmed: true }) }
}

function measure(reading: RowReading, telling: Telling): void {
  const { house, answers } = reading.context
  const bounds = house.boundsOf(telling.one.sheet, telling.one.stage)?.mm
  for (const cell of reading.all('size')) {
    const dated = numbered(reading, cell)
    const part = cell.column.part ?? 'length'
    const read =
      dated &&
      reading.measured(cell, dated.text, {
        units: LENGTH_UNITS,
        otherwise: cell.column.length ?? 'mm',
        doubted: answers.units.size,
        range: bounds?.[part]?.range,
        basic: 'mm',
      })
    if (!dated || !read) continue
    sayAt(reading, telling, dated)?.say('measured', { part, mm: read.value, ...lookedAt(reading, read) })
  }
}

/** A cell as it was written, with what heads it. */
function noteOf({ column: { header }, text }: Cell): object {
  return { text: `${header}: ${text}`.slice(0, NOTE_MOST), forRecord: true }
}

/** Whether a cell is left as it was written, in a note: of somebody new, what has no day is what it is usually fed, or that
 * it ever shed, and happened on no day anybody knows. */
function asWritten(reading: RowReading, { one, isNew, undated }: Telling, cell: Cell): boolean {
  if (!isNew || !undated) return false
  const { now } = reading.context.house
  reading.saysOf(one.id, { moment: now, dated: false })('noted', noteOf(cell))
  return true
}

/** A half or a third of something is no day in January. */
const FRACTION = /^(?:1\/[234]|2\/3|3\/4)\s+\p{L}/u

function outcomeSaid(reading: RowReading, cell: Cell, text: string): FeedOutcome | null {
  const named = outcomeNamed(text)
  if (!named) reading.wrong(cell, { code: 'unknownWord', said: text })
  return named ?? null
}

function sayMeal(reading: RowReading, offered: Offered, say: Say): void {
  const amount = reading.first('amount')
  const much = amount ? reading.quantity(amount) : null
  const unit = much && much.unit in MASS_UNITS ? (much.unit as keyof typeof MASS_UNITS) : null
  const grams = much && unit ? much.value * MASS_UNITS[unit] : offered.grams
  const count = much && !unit ? Math.max(1, Math.round(much.value)) : offered.count
  say('fed', {
    item: (offered.item ?? reading.context.house.says.someFood).slice(0, ITEM_MOST),
    ...(grams !== undefined && { grams }),
    ...(count !== undefined && { count }),
    outcome: offered.outcome ?? 'taken',
  })
}

function feed(reading: RowReading, telling: Telling): void {
  const foods = reading.all('food')
  const outcome = reading.first('outcome')
  const went = outcome && reading.dated(outcome)
  // "✓ 28/11" says how it went and when; "28/11" only when.
  const wentHow = outcome && went && went.text !== '' ? outcomeSaid(reading, outcome, went.text) : null
  const how = wentHow === null ? {} : { outcome: wentHow }
  for (const cell of foods) {
    const dated = FRACTION.test(cell.text) ? { text: cell.text, at: null } : reading.dated(cell)
    if (!dated) continue
    if (!dated.at && !went?.at && asWritten(reading, telling, cell)) continue
    const offered = dated.text === '' ? {} : readOffered(dated.text)
    const said = sayAt(reading, telling, { at: dated.at ?? went?.at ?? null })
    if (said) sayMeal(reading, { ...offered, ...how }, said.say)
  }
  if (foods.length > 0 || !outcome || !went || (!went.at && asWritten(reading, telling, outcome))) return
  const said = sayAt(reading, telling, went)
  if (said) sayMeal(reading, how, said.say)
}

function skin(reading: RowReading, telling: Telling): void {
  const { house } = reading.context
  for (const cell of reading.all('shed')) {
    const dated = reading.dated(cell)
    if (!dated) continue
    const said = plain(dated.text)
    if (NO.has(said) || (said === '' && !dated.at)) continue
    if (!dated.at && asWritten(reading, telling, cell)) continue
    const how = /piece|part|bad|retain|stuck|patch/.test(said)
      ? 'inPieces'
      : /whole|full|good|complete|clean|one/.test(said)
        ? 'whole'
        : undefined
    const stage = !telling.sheet || shedsSkin(telling.sheet.group) ? 'shed' : 'molted'
    const told = sayAt(reading, telling, dated)
    told?.say('ecdysis', { stage, ...(how && { how }) })
    // Nobody wrote down when it hardened, and it has: what is long past holds nothing back.
    if (told && stage === 'molted' && house.now.day - told.at.moment.day > LONG_PAST)
      told.say('released', { hold: 'soft', reason: house.says.longPast })
  }
}

function count(reading: RowReading, telling: Telling): void {
  const cell = reading.first('count')
  if (!cell || telling.isNew) return
  const whole = readMany(cell.text, cell.column.decimal ?? null)
  const dated = whole === null ? reading.dated(cell) : { text: cell.text, at: null }
  const read = dated && (whole ?? readMany(dated.text, cell.column.decimal ?? null))
  if (read === 'unsure') return reading.wrong(cell, { code: 'signUnsaid', said: cell.text })
  if (!dated) return
  if (!read) return reading.wrong(cell, { code: 'notCount', said: cell.text })
  // A tub of them counts nobody.
  if (read.count === null) return
  sayAt(reading, telling, dated)?.say('counted', { count: read.count, ...(read.about && { about: true }) })
}

/** A note, at the row's day or else today: it is nothing that happened. */
function note(reading: RowReading, { one, at }: Telling, now: RowMoment): void {
  for (const cell of reading.all('note'))
    reading.saysOf(one.id, at ?? now)('noted', { text: cell.text.slice(0, NOTE_MOST), forRecord: true })
}

/** What a row says of somebody: numbers, meals, sheds or molts, a count, notes, each at the day in its cell, in the head of
 * its column or in its row. */
export function happenedIn(reading: RowReading, telling: Telling): void {
  describe(reading, telling)
  weigh(reading, telling)
  measure(reading, telling)
  feed(reading, telling)
  skin(reading, telling)
  count(reading, telling)
  note(reading, telling, { moment: reading.context.house.now, dated: false })
}

/** What is said of several animals at once, for each of them: numbers are of all of them together, and stand as they were
 * written. */
export function happenedToSeveral(reading: RowReading, telling: Telling): void {
  for (const meaning of ['weight', 'size'] as const)
    for (const cell of reading.all(meaning)) {
      const dated = numbered(reading, cell)
      if (dated) sayAt(reading, telling, dated)?.say('noted', noteOf(cell))
    }
  feed(reading, telling)
  skin(reading, telling)
  note(reading, telling, { moment: reading.context.house.now, dated: false })
}
