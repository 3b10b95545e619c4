import type { Draft, Entry, Fact } from '@kobrin/core'
import { words } from './en.ts'
import { terms } from './terms.ts'
import { sayDate, sayGrams } from './numbers.ts'

function sayFact(fact: Pick<Fact, 'kind' | 'payload'>, today: number): string {
  const { kind, payload } = fact as Fact
  switch (kind) {
    case 'registered':
      return `Put on record: ${payload.name}`
    case 'arrived':
      return `Arrived${payload.source ? ` from ${payload.source}` : ''}`
    case 'died':
      return `${payload.count === undefined ? 'Died' : `${payload.count} died`}${payload.why ? `: ${payload.why}` : ''}`
    case 'left':
      return `${payload.count === undefined ? 'Left' : `${payload.count} left`}, to ${payload.to}${payload.why ? `: ${payload.why}` : ''}`
    case 'staged':
      return `Stage: ${payload.stage}. ${payload.why}`
    case 'schooled':
      return `School: ${payload.school}, ${payload.option}. ${payload.why}`
    case 'expected':
      return `Expected${payload.from ? ` from ${payload.from}` : ''}`
    case 'moved': {
      const count =
        payload.found === undefined ? '' : `, ${payload.found} of ${payload.expected ?? payload.found} found`
      return `Moved${count}${payload.why ? `: ${payload.why}` : ''}`
    }
    case 'vacated':
      return payload.leaves === 'toClean' ? 'Moved out of; to be cleaned' : 'Moved out of; floor to be kept'
    case 'readied':
      return payload.floor === 'kept' ? 'Emptied, floor kept' : 'Cleaned'
    case 'counted':
      return `Counted ${payload.count}${payload.expected === undefined ? '' : ` of ${payload.expected}`}`
    case 'accounted':
      return `Missing: ${payload.found} found again, ${payload.lost} given up. ${payload.why}`
    case 'gained':
      return `${payload.count} more${payload.lot ? ', found in old floor' : ''}${payload.why ? `: ${payload.why}` : ''}`
    case 'floorKept':
      return `Old floor put aside: ${payload.at}`
    case 'floorChecked':
      return payload.found === 'nothing'
        ? 'Old floor: nothing alive'
        : `Old floor: ${payload.count ?? 'some'} ${payload.found}`
    case 'floorDisposed':
      return `Old floor thrown away${payload.why ? `: ${payload.why}` : ''}`
    case 'checked':
      return 'Checked'
    case 'condition':
      return `Body condition ${payload.score}`
    case 'fed': {
      const { item, size, count, grams, supplements, outcome, why } = payload
      const amount = count !== undefined ? `${count} ` : grams !== undefined ? `${sayGrams(grams)} ` : ''
      const dust = supplements?.length ? ` with ${supplements.join(', ')}` : ''
      return `${amount}${item}${size ? ` ${size}` : ''}${dust}: ${words.outcome[outcome]}${why ? ` (${why})` : ''}`
    }
    case 'bowl': {
      const left =
        payload.leftFraction === undefined ? '' : `, ${Math.round(payload.leftFraction * 100)} % left`
      return `Bowl found ${payload.found}${left}${payload.refilled ? ', refilled' : ''}`
    }
    case 'watered':
      return `Fresh water${payload.litres ? ` ${payload.litres} l` : ''}`
    case 'cleaned':
      return payload.scope === 'full' ? 'Full clean' : 'Spot-cleaned'
    case 'dampened':
      return `Dampened${payload.end ? ` ${terms.end[payload.end]}` : ''}${payload.litres ? ` ${payload.litres} l` : ''}`
    case 'weighed':
      return `Weighed ${sayGrams(payload.grams)}${payload.confirmed ? ', looked at twice' : ''}`
    case 'measured':
      return `${terms.part[payload.part]} ${payload.mm} mm`
    case 'ecdysis': {
      const how = payload.how === 'inPieces' ? ' in pieces' : payload.how === 'whole' ? ' whole' : ''
      const kept = payload.retained?.length
        ? `, old skin on ${payload.retained.map((part) => words.retained[part]).join(', ')}`
        : ''
      return `${terms.stage[payload.stage]}${how}${kept}`
    }
    case 'skinCleared':
      return `Old skin off${payload.parts ? `: ${payload.parts.map((part) => words.retained[part]).join(', ')}` : ''}`
    case 'sighted':
      return payload.seen ? 'Seen' : 'Looked, not seen'
    case 'droppings':
      return `Droppings: ${terms.droppings[payload.look]}`
    case 'observed':
      return `${payload.text} (${terms.severity[payload.severity]})`
    case 'noted':
      return payload.text
    case 'held':
      return `Hold: ${words.hold[payload.hold]}${payload.until === undefined ? '' : ` until ${sayDate(payload.until, today)}`}. ${payload.reason}`
    case 'released':
      return `Hold lifted: ${words.hold[payload.hold]}${payload.reason ? `. ${payload.reason}` : ''}`
  }
}

/** What an entry says, or would say, in one line. */
export function sayDraft(entry: Draft, today: number): string {
  if (entry.kind === 'retracted') return `Took back an entry: ${entry.payload.why}`
  if (entry.kind === 'corrected')
    return `Corrected to: ${sayFact(entry.payload.to, today)}. ${entry.payload.why}`
  return sayFact(entry, today)
}

export function sayEntry(entry: Entry, today: number): string {
  return sayDraft(entry, today)
}
