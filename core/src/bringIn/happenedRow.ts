import type { FeedOutcome } from '../facts/feeding/feedingState.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import { shedsSkin } from '../plans/skin/shedsSkin.ts'
import type { Civil } from '../basics/time/civil.ts'
import type { House, KnownResident } from './house.ts'
import { plain } from './house.ts'
import { LENGTH_UNITS, MASS_UNITS } from './meaning.ts'
import { originOf } from './newcomerRow.ts'
import type { Cells, RowMoment, RowReading, Say } from './rowReading.ts'

const ITEM_MOST = 80
/** Days after which nobody waits for a skin to harden any more. */
const LONG_PAST = 30

const OUTCOMES: Readonly<Record<string, FeedOutcome>> = {
  taken: 'taken',
  yes: 'taken',
  y: 'taken',
  x: 'taken',
  ate: 'taken',
  eaten: 'taken',
  accepted: 'taken',
  part: 'part',
  partly: 'part',
  some: 'part',
  refused: 'refused',
  no: 'refused',
  n: 'refused',
  'not eaten': 'refused',
  left: 'left',
  'not offered': 'notOffered',
}
const NO = new Set(['no', 'n', '0', '-', 'false'])

/** Whether a row says anything that happened on some day. */
export function tellsOfDay(
  { weight, size, food, outcome, shed, note, chip, marks, count }: Cells,
  isNew: boolean,
) {
  return [weight, size, food, outcome, shed, note, chip, marks, isNew ? undefined : count].some(
    (cell) => cell !== undefined,
  )
}

function describe(reading: RowReading, say: Say): void {
  const { origin, chip, marks } = reading.cells
  const from = origin && originOf(origin.text)
  const described = {
    ...(from && { origin: from }),
    ...(chip && { chip: chip.text.slice(0, 40) }),
    ...(marks && { marks: marks.text }),
  }
  if (Object.keys(described).length > 0) say('described', described)
}

function measure(reading: RowReading, { sheet, stage }: KnownResident, house: House, say: Say): void {
  const { weight, size } = reading.cells
  const bounds = house.boundsOf(sheet, stage)
  const confirmed = reading.accepted ? { confirmed: true } : {}
  const grams = reading.measured(weight, MASS_UNITS, weight?.column.mass ?? 'g')
  if (weight && grams !== null) {
    reading.within(grams, bounds?.grams?.range, weight, 'g')
    say('weighed', { grams, ...confirmed })
  }
  const mm = reading.measured(size, LENGTH_UNITS, size?.column.length ?? 'mm')
  if (size && mm !== null) {
    const part = size.column.part ?? 'length'
    reading.within(mm, bounds?.mm[part]?.range, size, 'mm')
    say('measured', { part, mm, ...confirmed })
  }
}

function meal(reading: RowReading, say: Say): void {
  const { food, amount, outcome } = reading.cells
  if (!food) {
    if (outcome) reading.wrong(outcome.at, { code: 'noFood' })
    return
  }
  const went = reading.word(outcome, OUTCOMES) ?? 'taken'
  const much = reading.number(amount)
  const unit = much && much.unit in MASS_UNITS ? (much.unit as keyof typeof MASS_UNITS) : null
  say('fed', {
    item: food.text.slice(0, ITEM_MOST),
    ...(much && unit && { grams: much.value * MASS_UNITS[unit] }),
    ...(much && !unit && { count: Math.max(1, Math.round(much.value)) }),
    outcome: went,
  })
}

function skin(reading: RowReading, sheet: Sheet | undefined, moment: Civil, house: House, say: Say): void {
  const said = plain(reading.cells.shed?.text ?? '')
  if (said === '' || NO.has(said)) return
  const how = /piece|part|bad|retain/.test(said)
    ? 'inPieces'
    : /whole|full|good|complete/.test(said)
      ? 'whole'
      : undefined
  const stage = !sheet || shedsSkin(sheet.group) ? 'shed' : 'molted'
  say('ecdysis', { stage, ...(how && { how }) })
  // Nobody wrote down when it hardened, and it has: what is long past holds nothing back.
  if (stage === 'molted' && house.now.day - moment.day > LONG_PAST)
    say('released', { hold: 'soft', reason: house.longPast })
}

/** What a row says of somebody on a day: numbers, a meal, a shed or molt, a count, a note. */
export function happenedIn(
  reading: RowReading,
  {
    one,
    at,
    house,
    sheet,
    isNew,
  }: { one: KnownResident; at: RowMoment; house: House; sheet: Sheet | undefined; isNew: boolean },
): void {
  const say = reading.saysOf(one.id, at)
  describe(reading, say)
  measure(reading, one, house, say)
  meal(reading, say)
  skin(reading, sheet, at.moment, house, say)
  const counted = isNew ? null : reading.number(reading.cells.count)
  if (counted) say('counted', { count: Math.round(counted.value) })
  const { note } = reading.cells
  if (note) say('noted', { text: note.text.slice(0, 4000) })
}
