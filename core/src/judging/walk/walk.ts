import type { Readings } from '../../facts/readings/readingsState.ts'
import type { DoneInBox } from '../../facts/places/placeState.ts'
import type { KeptFloor } from '../lots/keptFloor.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { Day } from '../../basics/time/day.ts'
import type { Barrier, Place } from '../../facts/places/place.ts'
import type { Prep } from './prep.ts'
import { comparePlaced } from './order.ts'
import { prepFor } from './prep.ts'
import type { ResidentDay } from './residentDay.ts'
import { residentDay } from './residentDay.ts'

export interface WalkResident {
  id: string
  plan: Plan
  state: ResidentState
  place: Place
  /** Old floors of it that are still kept. */
  floors?: readonly KeptFloor[]
  /** What was last read where it lives. */
  readings?: Readings
  /** What was last done in the box it lives in. */
  box?: DoneInBox
}

export interface WalkInput {
  day: Day
  /** Wall-clock minutes since the site's midnight. */
  minute?: number
  residents: readonly WalkResident[]
}

export interface Visit extends ResidentDay {
  resident: string
  place: Place
}

/** One bay at one barrier level, on the way. */
export interface Stop {
  room: string
  bay: string
  barrier: Barrier
  visits: Visit[]
}

export interface Walk {
  stops: Stop[]
  prep: Prep
}

/** Visits already in walking order, gathered into stops: a room met again at a higher barrier
 * is a new stop. */
export function stopsOf(visits: readonly Visit[]): Stop[] {
  const stops: Stop[] = []
  for (const visit of visits) {
    const { room, bay, barrier } = visit.place
    const current = stops.at(-1)
    if (current && current.room === room && current.bay === bay && current.barrier === barrier) {
      current.visits.push(visit)
    } else stops.push({ room, bay, barrier, visits: [visit] })
  }
  return stops
}

/** The walk of a day: every resident's duties with their reasons, in the order to walk,
 * and what to prepare. Computed from plans and folds; nothing of it is stored. */
export function walk({ day, minute, residents }: WalkInput): Walk {
  const visits = residents.map((resident): Visit => {
    const { id, place, plan, state, floors, readings, box } = resident
    const { tasks, holds, verdicts, weight } = residentDay({
      day,
      minute,
      plan,
      state,
      floors,
      readings,
      box,
    })
    return { resident: id, place, tasks, holds, verdicts, weight }
  })
  visits.sort(comparePlaced)
  return { stops: stopsOf(visits), prep: prepFor(day, visits) }
}
