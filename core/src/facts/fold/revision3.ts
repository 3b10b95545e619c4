import { missingOf } from '../count/countState.ts'
import { countOf } from '../count/howMany.ts'
import { historyOf } from '../feeding/accepted.ts'
import type { FeedingState, FeedLine, Offer } from '../feeding/feedingState.ts'
import { lastOffer, lastOffered, mealsIn, mealsKept, portionOf } from '../feeding/feedLine.ts'
import { added, nothingOffered, sumOf, wasEaten } from '../feeding/offerSum.ts'
import { openNotes } from '../handover/notes.ts'
import type { SaidHold } from '../holds/holdsState.ts'
import { pastHolds } from '../holds/holdsState.ts'
import type { LotState } from '../lots/lotState.ts'
import type { DoneInBox } from '../places/placeState.ts'
import type { PlaceState } from '../places/placeState.ts'
import type { ResidentState } from '../residents/residentState.ts'
import type { Placement } from '../residents/stayState.ts'
import { placeOf } from '../residents/stayState.ts'
import { limbsLostAt, partsLeft } from '../skin/skinState.ts'
import type { FamilyName, StateOf } from '../subjects/families.ts'
import type { Mark } from '../subjects/mark.ts'
import { isoDay } from '../../basics/time/day.ts'
import type { OldFold, OldLine, OldLot, OldPlace, OldResident } from './revision3State.ts'

function civilDayStart(day: number): string {
  return `${isoDay(day)}T00:00:00.000Z`
}

/** How many meals of a line were kept then. */
const MEALS_KEPT = 4

function mealOf({ day, at, by, uid, grams }: Offer): OldLine['lately'][number] {
  return { day, at, by, uid, ...(grams !== undefined && { grams }) }
}

function oldOffer({ found, supplements: _given, apart: _apart, ...offer }: Offer): OldLine['lastOffer'] {
  return wasEaten({ ...offer, ...(found && { found }) }) === false ? { ...offer, outcome: 'refused' } : offer
}

function oldRow(row: ReturnType<typeof sumOf>['row']): { refusals: number; refusedFrom?: number } {
  return row ? { refusals: row.refusals, refusedFrom: row.from } : { refusals: 0 }
}

function oldLine(line: FeedLine): OldLine {
  const { meals, row } = sumOf(line)
  const last = lastOffered(line)
  const passed = lastOffer(line)
  const isOpen = last !== null && wasEaten(last) === null
  const before =
    isOpen &&
    added(
      line.before,
      line.offers.filter((offer) => offer !== last),
    ).row
  return {
    lately: mealsKept(line).slice(-MEALS_KEPT).map(mealOf),
    lastOffer: passed && oldOffer(passed),
    ...oldRow(row),
    ...(isOpen && { undecided: oldRow(before || null) }),
    meals,
    portion: portionOf(line),
  }
}

function oldFeeding(feeding: FeedingState): OldResident['feeding'] {
  const lines = Object.entries(feeding.lines)
  const sums = lines.map(([, line]) => sumOf(line))
  const meals = lines.flatMap(([duty, line]) => mealsKept(line).map((meal) => ({ ...mealOf(meal), duty })))
  const lastDay = Math.max(-Infinity, ...meals.map(({ day }) => day))
  const all = mealsIn(feeding)
  const items = [...new Set(sums.flatMap((sum) => Object.keys(sum.items)))].map((item) => {
    const {
      taken,
      refusedInRow,
      lastDay: last,
    } = historyOf(feeding, item) ?? { taken: 0, refusedInRow: 0, lastDay: 0 }
    const days = lines.flatMap(([, { offers }]) =>
      offers
        .filter((one) => one.item === item && one.outcome !== 'notOffered' && last - one.day < 7)
        .map(({ day }) => day),
    )
    return [item, { days: days.length > 0 ? days : [last], taken, refusedInRow }] as const
  })
  return {
    lines: Object.fromEntries(lines.map(([duty, line]) => [duty, oldLine(line)])),
    today: meals
      .filter(({ day }) => day === lastDay)
      .map(({ day, at, by, uid, duty }) => ({ day, at, by, uid, duty })),
    items: Object.fromEntries(items),
    habit: {
      offers: sums.reduce((sum, { habit }) => sum + habit.offers, 0),
      taken: sums.reduce((sum, { habit }) => sum + habit.taken, 0),
    },
    supplements: Object.fromEntries(
      sums.flatMap((sum) =>
        Object.entries(sum.supplements).map(([name, { day, meals: then }]) => [
          name,
          { day, meals: all - (sum.meals - then) },
        ]),
      ),
    ),
    bowls: Object.fromEntries(
      Object.entries(feeding.bowls).map(([duty, { day, found, refilled }]) => [
        duty,
        { day, found, refilled },
      ]),
    ),
  }
}

/** Days ago that settling in is over everywhere. */
const LONG_AGO = 3650

/** Who was here before its record began has settled in: for pages that know no such coming it was moved here when it
 * came, or long ago. */
function oldPlace({ stay }: ResidentState): Placement | null {
  const { place, arrivedOn } = stay
  if (!place || stay.cameOn === undefined || place.since !== arrivedOn) return placeOf({ stay })
  return { ...place, since: stay.cameOn ?? place.since - LONG_AGO }
}

function oldResident(state: ResidentState): OldResident {
  const { stay, feeding, skin, growth, holds, count, notes, ...same } = state
  const open = holds.said.filter(({ ended }) => ended === null)
  const note = openNotes(notes).at(-1)
  const lost = limbsLostAt(skin)
  const known = countOf(state)
  return {
    ...same,
    stay: {
      expectedOn: stay.expected?.since ?? null,
      arrivedOn: stay.arrivedOn,
      place: oldPlace(state),
      ended: stay.ended,
    },
    feeding: oldFeeding(feeding),
    skin: {
      sign: skin.sign,
      sheds: skin.sheds.map(({ day }) => day),
      retained: partsLeft(skin),
      ...(lost && { limbsLost: lost }),
    },
    growth: { weights: growth.weights, sizes: growth.sizes },
    holds: {
      set: Object.fromEntries(
        open.map(({ hold, since, until, reason, by, uid }) => [hold, { since, until, reason, by, uid }]),
      ),
      lifted: holds.lifted,
      past: pastHolds({ ...holds, said: holds.said.filter(({ ended }) => ended !== null) }, Infinity),
    },
    count: {
      last:
        known === null || count.howMany.is !== 'known' || count.howMany.day === null
          ? null
          : { day: count.howMany.day, count: known },
      missing: missingOf(count),
      shortfalls: count.shortfalls.map(({ open: _left, ...same }) => same),
    },
    note: note ? { day: note.day, at: note.at, by: note.by, uid: note.uid, text: note.text } : null,
  }
}

/** What was done in a box, as it was said of a tenant. */
function doneThere(state: ResidentState, box: DoneInBox): ResidentState['done'] {
  const done = new Map(Object.entries(state.done))
  const list = ` ${state.register?.sheet ?? ''}`
  for (const [key, mark] of Object.entries(box)) {
    const duty = key.endsWith(list) ? key.slice(0, -list.length) : key
    if ((done.get(duty)?.at ?? '') < mark.at) done.set(duty, mark)
  }
  return Object.fromEntries(done)
}

/** A fold as pages of the third revision knew it: they go on working beside a newer server. `box`: what was done in
 * the box of a resident, which was then said of the resident. */
export function asRevision3<F extends FamilyName>(
  family: F,
  state: StateOf<F>,
  box: DoneInBox = {},
): OldFold {
  switch (family) {
    case 'resident':
      return oldResident({ ...(state as ResidentState), done: doneThere(state as ResidentState, box) })
    case 'place': {
      const { done: _done, ...known } = state as PlaceState
      return known
    }
    default: {
      const { given: _given, ...known } = state as LotState
      return known
    }
  }
}

function markOn(day: number): Mark {
  return { day, at: civilDayStart(day), by: '', uid: '' }
}

function newLine(line: OldLine, feeding: OldResident['feeding'], isFirst: boolean): FeedLine {
  const habit = feeding.habit ?? { offers: 0, taken: 0 }
  const last = line.lately.at(-1) ?? null
  const refused = line.lastOffer?.outcome === 'refused' ? 1 : 0
  const rest = line.refusals - refused
  const items = isFirst
    ? Object.entries(feeding.items).map(([item, { days, taken, refusedInRow }]) => [
        item,
        { taken, refusedInRow, lastDay: days.at(-1) ?? 0 },
      ])
    : []
  const supplements = isFirst
    ? Object.entries(feeding.supplements).map(([name, { day, meals }]) => [
        name,
        { day, at: civilDayStart(day), meals },
      ])
    : []
  const isMealLast = line.lastOffer !== null && last?.uid === line.lastOffer.uid
  return {
    before: {
      ...nothingOffered(),
      meals: line.meals - (isMealLast ? 1 : 0),
      lastMeal: isMealLast ? (line.lately.at(-2) ?? null) : last,
      row:
        rest > 0 && line.refusedFrom !== undefined
          ? { refusals: rest, from: line.refusedFrom, before: habit }
          : null,
      habit,
      items: Object.fromEntries(items) as FeedLine['before']['items'],
      supplements: Object.fromEntries(supplements) as FeedLine['before']['supplements'],
    },
    offers: line.lastOffer ? [line.lastOffer] : [],
  }
}

function newHolds({ set, lifted, past = [] }: OldResident['holds']): ResidentState['holds'] {
  const over = past.map(({ hold, since, until }): SaidHold => {
    const { at, by, uid } = markOn(since)
    return { hold, since, until: null, reason: '', by, uid, at, ended: markOn(until) }
  })
  const open = Object.entries(set).map(([hold, said]): SaidHold => ({
    ...said,
    hold: hold as SaidHold['hold'],
    at: civilDayStart(said.since),
    ended: null,
  }))
  return { said: [...over, ...open], lifted }
}

function newCount(
  { last, missing, shortfalls }: OldResident['count'],
  register: OldResident['register'],
): ResidentState['count'] {
  const count = last?.count ?? register?.count ?? null
  let open = missing
  return {
    howMany: count === null ? { is: 'one' } : { is: 'known', count, day: last?.day ?? null },
    shortfalls: shortfalls.map((one) => {
      const here = Math.min(open, one.expected - one.found)
      open -= here
      return { ...one, open: here }
    }),
  }
}

/** What a fold of an earlier revision says, as far as it can be told without the entries: for the moments until they
 * are folded again. */
export function fromRevision3<F extends FamilyName>(family: F, old: OldFold): StateOf<F> {
  if (family === 'place') return { ...(old as OldPlace), done: {} } as unknown as StateOf<F>
  if (family === 'lot') return { ...(old as OldLot), given: {} } as unknown as StateOf<F>
  if (family !== 'resident') return old as unknown as StateOf<F>
  const { stay, feeding, skin, holds, count, note, ...same } = old as OldResident
  const isComing = stay.expectedOn !== null && stay.arrivedOn === null
  const lastShed = skin.sheds.at(-1) ?? 0
  const state: ResidentState = {
    ...same,
    stay: {
      expected: isComing ? stay.place : null,
      arrivedOn: stay.arrivedOn,
      place: isComing ? null : stay.place,
      ended: stay.ended,
      before: [],
      goings: [],
    },
    feeding: {
      lines: Object.fromEntries(
        Object.entries(feeding.lines).map(([duty, line], index) => [
          duty,
          newLine(line, feeding, index === 0),
        ]),
      ),
      bowls: Object.fromEntries(
        Object.entries(feeding.bowls).map(([duty, bowl]) => [duty, { ...markOn(bowl.day), ...bowl }]),
      ),
    },
    skin: {
      sign: skin.sign,
      signEnded: null,
      sheds: skin.sheds.map((day) => ({
        ...markOn(day),
        ...(skin.limbsLost?.day === day && { limbsLost: skin.limbsLost.count }),
      })),
      retained: skin.retained.map((part) => ({ part, layers: 1, since: lastShed, by: '' })),
    },
    holds: newHolds(holds),
    count: newCount(count, same.register),
    notes: note ? [{ ...note, answered: null }] : [],
  }
  return state as unknown as StateOf<F>
}
