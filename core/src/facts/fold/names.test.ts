import { describe, expect, it } from 'vitest'
import type { Entry } from '../entries/entry.ts'
import type { PlanRows } from '../../plans/plan/planOf.ts'
import { planOf } from '../../plans/plan/planOf.ts'
import { isPlan } from '../../plans/plan/resolvePlan.ts'
import type { ResidentState } from '../residents/residentState.ts'
import { differences } from '../../plans/sheet/difference.ts'
import { Sheet } from '../../plans/sheet/sheet.ts'
import { doubtAbout } from '../../judging/doubts/doubts.ts'
import { entryOn, FIRST_DAY } from '../../testing/histories.ts'
import { prepFor } from '../../judging/walk/prep.ts'
import { residentDay } from '../../judging/walk/residentDay.ts'
import { replay } from './replay.ts'

/** What every object has, and so must be no answer to what somebody calls a duty, a food or a school. */
const NASTY = ['constructor', '__proto__', 'toString', 'valueOf', 'hasOwnProperty', 'prototype', 'length']

/** A sheet on which everything that can be named has one name. */
function sheetWith(name: string): Sheet {
  const every = { type: 'every', days: 2, tolerance: 0 } as const
  return Sheet.parse({
    id: 'gecko',
    common: 'Gecko',
    latin: 'Gekko minimus',
    group: 'lizard',
    lives: 'individual',
    stages: [
      {
        id: 'adult',
        name: 'Adult',
        duties: [
          {
            id: name,
            does: 'feed',
            cadence: every,
            amount: { by: 'count', count: [2, 3] },
            foods: [{ item: name, sizes: [{ size: 'M' }], weeklyCap: 2 }],
            supplements: [{ name, everyMeals: 2 }],
          },
          { id: `${name}-bowl`, does: 'water', cadence: { type: 'whenEmpty', lookEvery: 1 } },
        ],
      },
    ],
    schools: [
      {
        id: name,
        question: 'Which?',
        default: name,
        options: [
          { id: name, name: 'This', reason: 'So.' },
          { id: 'other', name: 'That', reason: 'Not so.' },
        ],
      },
    ],
    holds: [],
    targets: [],
    never: ['Never.'],
    cautions: [],
    signs: [],
    sources: ['common husbandry practice'],
    weighing: { r: 0.03, q: 1e-7 },
  })
}

function entriesWith(name: string): Entry[] {
  return [
    entryOn(0, 'arrived', { enclosure: entryOn(0, 'checked', {}).uid }),
    entryOn(1, 'fed', { duty: name, item: name, count: 2, supplements: [name], outcome: 'taken' }),
    entryOn(3, 'fed', { duty: name, item: name, count: 3, outcome: 'refused', why: name }),
    entryOn(3, 'bowl', { duty: `${name}-bowl`, found: 'empty' }),
    entryOn(4, 'watered', { duty: name }),
    entryOn(4, 'checked', { duty: name }),
    entryOn(4, 'bowl', { duty: name, found: 'leftovers', leftFraction: 0.5 }),
  ]
}

/** Everything computed for somebody on whose sheet and in whose record all has one name. */
function told(name: string): string {
  const sheet = sheetWith(name)
  const rows: PlanRows = { sheets: new Map([[sheet.id, sheet]]), schools: {}, overrides: new Map() }
  const plan = planOf(rows, { id: 'x', register: { sheet: 'gecko', stage: 'adult', schools: {} } }, FIRST_DAY)
  if (!isPlan(plan)) throw new Error(JSON.stringify(plan))
  // As it is stored and comes back.
  const state = JSON.parse(JSON.stringify(replay('resident', entriesWith(name)))) as ResidentState
  const days = [4, 5, 6, 7].map((day) => residentDay({ day: FIRST_DAY + day, plan, state }))
  const doubt = doubtAbout(
    { subject: 'x', kind: 'fed', payload: { duty: name, item: name, count: 90, outcome: 'taken' } },
    { day: FIRST_DAY + 7, state, plan },
  )
  const change = differences({ [name]: 1 }, { [name]: 2 })
  return JSON.stringify([state.feeding, state.done, days, prepFor(FIRST_DAY + 6, days), doubt, change])
}

describe('a name is only a name', () => {
  const plain = told('aName').replaceAll(/"uid":"[^"]*"|"at":"[^"]*"/g, '')
  it.each(NASTY)('%s', (name) => {
    const said = told(name).replaceAll(/"uid":"[^"]*"|"at":"[^"]*"/g, '')
    expect(said.replaceAll(name, 'aName')).toBe(plain)
  })
})
