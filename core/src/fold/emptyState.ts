import type { ResidentState } from './residentState.ts'

export function emptyState(): ResidentState {
  return {
    cursor: null,
    facts: 0,
    arrivedOn: null,
    place: null,
    done: {},
    feeds: {},
    fedToday: [],
    items: {},
    supplements: {},
    meals: 0,
    bowls: {},
    weights: [],
    sizes: {},
    ecdysis: null,
    sheds: [],
    retained: [],
    seenOn: null,
    searches: 0,
    holds: {},
    observations: [],
    note: null,
  }
}
