import type { Draft, Entry, Fact, FactKind, Payload } from '@kobrin/core'
import { words } from './en.ts'
import { terms } from './terms.ts'
import type { Teller } from './reasons.ts'
import { sayDate, sayGrams } from './numbers.ts'
import { sayValue } from './readings.ts'

/** Names as entries need them: days from today, and the stages and schools of the sheet of a resident. */
export type EntryTeller = Pick<Teller, 'today' | 'stageOf' | 'schoolOf'>

/** Whom a fact is about, and the names it is said with. */
interface About extends EntryTeller {
  of: string
}

function because(why: string | undefined): string {
  return why ? `: ${why}` : ''
}

const SAYS: { [K in FactKind]: (payload: Payload<K>, about: About) => string } = {
  registered: (payload) => `Put on record: ${payload.name}`,
  arrived: (payload) => `Arrived${payload.source ? ` from ${payload.source}` : ''}`,
  died: (payload) =>
    `${payload.count === undefined ? 'Died' : `${payload.count} died`}${because(payload.why)}`,
  left: (payload) =>
    `${payload.count === undefined ? 'Left' : `${payload.count} left`}, to ${payload.to}${because(payload.why)}`,
  staged: ({ stage, why }, { of, stageOf }) => `Stage: ${stageOf(of, stage)}. ${why}`,
  schooled: ({ school, option, why }, { of, schoolOf }) => `School: ${schoolOf(of, school, option)}. ${why}`,
  expected: (payload) => `Expected${payload.from ? ` from ${payload.from}` : ''}`,
  moved(payload) {
    const count =
      payload.found === undefined ? '' : `, ${payload.found} of ${payload.expected ?? payload.found} found`
    return `Moved${count}${because(payload.why)}`
  },
  vacated: (payload) =>
    payload.leaves === 'toClean' ? 'Moved out of; to be cleaned' : 'Moved out of; floor to be kept',
  reading: ({ zone, what, value }) => `${zone}: ${sayValue(what, value)}`,
  readied: (payload) => (payload.floor === 'kept' ? 'Emptied, floor kept' : 'Cleaned'),
  counted: (payload) =>
    `Counted ${payload.count}${payload.expected === undefined ? '' : ` of ${payload.expected}`}`,
  accounted: (payload) => `Missing: ${payload.found} found again, ${payload.lost} given up. ${payload.why}`,
  gained: (payload) =>
    `${payload.count} more${payload.lot ? ', found in old floor' : ''}${because(payload.why)}`,
  floorKept: (payload) => `Old floor put aside: ${payload.at}`,
  floorChecked: (payload) =>
    payload.found === 'nothing'
      ? 'Old floor: nothing alive'
      : `Old floor: ${payload.count ?? 'some'} ${payload.found}`,
  floorDisposed: (payload) => `Old floor thrown away${because(payload.why)}`,
  checked: () => 'Checked',
  condition: (payload) => `Body condition ${payload.score}`,
  fed(payload) {
    const { item, size, count, grams, supplements, outcome, why } = payload
    const amount = count !== undefined ? `${count} ` : grams !== undefined ? `${sayGrams(grams)} ` : ''
    const dust = supplements?.length ? ` with ${supplements.join(', ')}` : ''
    return `${amount}${item}${size ? ` ${size}` : ''}${dust}: ${words.outcome[outcome]}${why ? ` (${why})` : ''}`
  },
  bowl(payload) {
    const left =
      payload.leftFraction === undefined ? '' : `, ${Math.round(payload.leftFraction * 100)} % left`
    return `Bowl found ${payload.found}${left}${payload.refilled ? ', refilled' : ''}`
  },
  watered: (payload) => `Fresh water${payload.litres ? ` ${payload.litres} l` : ''}`,
  cleaned: (payload) => (payload.scope === 'full' ? 'Full clean' : 'Spot-cleaned'),
  dampened: (payload) =>
    `Dampened${payload.end ? ` ${terms.end[payload.end]}` : ''}${payload.litres ? ` ${payload.litres} l` : ''}`,
  weighed: (payload) => `Weighed ${sayGrams(payload.grams)}${payload.confirmed ? ', looked at twice' : ''}`,
  measured: (payload) => `${terms.part[payload.part]} ${payload.mm} mm`,
  ecdysis(payload) {
    const how = payload.how === 'inPieces' ? ' in pieces' : payload.how === 'whole' ? ' whole' : ''
    const kept = payload.retained?.length
      ? `, old skin on ${payload.retained.map((part) => words.retained[part]).join(', ')}`
      : ''
    return `${terms.stage[payload.stage]}${how}${kept}`
  },
  skinCleared: (payload) =>
    `Old skin off${payload.parts ? `: ${payload.parts.map((part) => words.retained[part]).join(', ')}` : ''}`,
  looked: (payload) => (payload.seen ? 'Seen' : 'Looked, not seen'),
  droppings: (payload) => `Droppings: ${terms.droppings[payload.kind]}`,
  observed: (payload) => `${payload.text} (${terms.severity[payload.severity]})`,
  noted: (payload) => payload.text,
  held: (payload, { today }) =>
    `Hold: ${words.hold[payload.hold]}${payload.until === undefined ? '' : ` until ${sayDate(payload.until, today)}`}. ${payload.reason}`,
  released: (payload) =>
    `Hold lifted: ${words.hold[payload.hold]}${payload.reason ? `. ${payload.reason}` : ''}`,
}

function sayFact(fact: Pick<Fact, 'kind' | 'payload'>, about: About): string {
  return (SAYS[fact.kind] as (payload: unknown, about: About) => string)(fact.payload, about)
}

/** What an entry says, or would say, in one line. */
export function sayDraft(entry: Draft, teller: EntryTeller): string {
  const about = { ...teller, of: entry.subject }
  if (entry.kind === 'retracted') return `Took back an entry: ${entry.payload.why}`
  if (entry.kind === 'corrected')
    return `Corrected to: ${sayFact(entry.payload.to, about)}. ${entry.payload.why}`
  return sayFact(entry, about)
}

export function sayEntry(entry: Entry, teller: EntryTeller): string {
  return sayDraft(entry, teller)
}
