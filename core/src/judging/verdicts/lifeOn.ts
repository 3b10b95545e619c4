import type { Entry } from '../../facts/entries/entry.ts'
import { isAmendment } from '../../facts/entries/isAmendment.ts'
import { compareCursors, cursorOf } from '../../facts/entries/order.ts'
import { advance } from '../../facts/fold/advance.ts'
import { emptyState, replay } from '../../facts/fold/replay.ts'
import type { Readings } from '../../facts/readings/readingsState.ts'
import type { Register } from '../../facts/residents/register.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import { familyOf } from '../../facts/subjects/families.ts'
import type { StateOf } from '../../facts/subjects/families.ts'
import type { Day } from '../../basics/time/day.ts'

/** The entries of one family of subjects, with what amends them. */
function about(family: 'resident' | 'place', entries: readonly Entry[]): Entry[] {
  const subjects = new Set(
    entries.flatMap((entry) =>
      !isAmendment(entry) && familyOf(entry.kind) === family ? [entry.subject] : [],
    ),
  )
  return entries.filter(({ subject }) => subjects.has(subject))
}

/** Folds a history day by day: on each asked day only what was on record by its end, amendments included. */
class Telling<F extends 'resident' | 'place'> {
  readonly #family: F
  /** By day, and within a day as they happened. */
  readonly #waiting: Entry[]
  readonly #heard: Entry[] = []
  #state: StateOf<F>

  constructor(family: F, entries: readonly Entry[]) {
    this.#family = family
    this.#state = emptyState(family)
    this.#waiting = about(family, entries).sort(
      (a, b) => b.day - a.day || compareCursors(cursorOf(b), cursorOf(a)),
    )
  }

  until(day: Day): StateOf<F> {
    let anew = false
    for (let next = this.#waiting.at(-1); next && next.day <= day; next = this.#waiting.at(-1)) {
      this.#waiting.pop()
      this.#heard.push(next)
      const advanced = anew ? 'replay' : advance(this.#state, next)
      if (advanced === 'replay') anew = true
      else this.#state = advanced
    }
    if (anew) this.#state = replay(this.#family, this.#heard)
    return this.#state
  }
}

export interface LifeOnDay {
  day: Day
  state: ResidentState
  readings: Readings
}

/** What was believed of a resident on each of some days, in the order of the days. What is known of it besides its
 * entries stands in for a register nobody wrote. */
export function lifeOn(
  entries: readonly Entry[],
  days: readonly Day[],
  known: Pick<Register, 'sheet' | 'stage' | 'sex' | 'hatchedOn'>,
): LifeOnDay[] {
  const resident = new Telling('resident', entries)
  const place = new Telling('place', entries)
  return [...new Set(days)]
    .sort((a, b) => a - b)
    .map((day) => {
      const state = resident.until(day)
      const register: Register = {
        name: known.sheet,
        count: null,
        barrier: null,
        schools: {},
        ...state.register,
        ...known,
        hatchedOn: known.hatchedOn ?? state.register?.hatchedOn ?? null,
      }
      return { day, state: { ...state, register }, readings: place.until(day).readings ?? {} }
    })
}
