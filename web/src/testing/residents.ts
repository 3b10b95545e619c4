import type { Duty, Entry, Register, ResidentState, Sheet, Task } from '@kobrin/core'
import { Plan, replay } from '@kobrin/core'

/** 2026-05-12, a Tuesday. */
export const TODAY = 20_585

export const teller = {
  today: TODAY,
  who: (id: string) => ({ lotte: 'Lotte', priya: 'Priya' })[id] ?? id,
  clock: (iso: string) => iso.slice(11, 16),
  resident: (id: string) => ({ gaff: 'Gaff', orlop: 'Orlop' })[id] ?? id,
  stage: (sheet: string, stage: string) => `${sheet}, ${stage}`,
  school: (sheet: string, school: string, option: string) => `${sheet}: ${option} (${school})`,
  stageOf: (_residentId: string, stage: string) => (stage === 'adult' ? 'Adult' : stage),
  schoolOf: (_residentId: string, school: string, option: string) => `${option} (${school})`,
}

const source = { from: 'sheet', sheet: 'gecko', stage: 'adult' } as const

export function dutyOf(duty: Partial<Duty> & Pick<Duty, 'id' | 'does'>): Duty {
  return { cadence: { type: 'every', days: 1, tolerance: 0 }, people: 1, minutes: 1, source, ...duty }
}

export const FEED = dutyOf({
  id: 'feed',
  does: 'feed',
  cadence: { type: 'every', days: 3, tolerance: 1 },
  amount: { by: 'count', count: [4, 6] },
  foods: [
    { item: 'crickets', sizes: [{ size: 'M' }, { size: 'L' }] },
    { item: 'roaches', sizes: [{ size: 'S' }] },
  ],
  supplements: [{ name: 'calcium', everyMeals: 1 }],
})

export function planOf(duties: Duty[] = [FEED, dutyOf({ id: 'water', does: 'water', litres: 0.2 })]): Plan {
  return Plan.parse({
    sheet: 'gecko',
    stage: 'adult',
    duties,
    holds: [
      { hold: 'inBlue', suppresses: ['feed', 'weigh'], days: 8, worryAfter: 14, endsBy: 'event', source },
    ],
    weighing: { r: 0.03, q: 1e-7 },
  })
}

/** A sheet whose plan is `planOf()`. */
export function sheetOf(): Sheet {
  const { duties, holds, weighing, refusalsToWorry, standing } = planOf()
  return {
    id: 'gecko',
    common: 'Lesser house gecko',
    latin: 'Gekko minimus',
    otherNames: [],
    group: 'lizard',
    lives: 'individual',
    stages: [{ id: 'adult', name: 'Adult', duties: duties.map(({ source: _, ...duty }) => duty) }],
    schools: [],
    holds: holds.map(({ source: _, ...hold }) => hold),
    targets: [],
    never: [],
    cautions: [],
    signs: [],
    sources: ['common husbandry practice'],
    weighing,
    refusalsToWorry,
    standing,
  } as unknown as Sheet
}

/** Somebody as it may be put on record. */
export function registerOf(name: string, part: Partial<Register> = {}): Register {
  return {
    name,
    sheet: 'gecko',
    stage: 'adult',
    count: null,
    sex: 'unknown',
    hatchedOn: null,
    barrier: null,
    schools: {},
    ...part,
  }
}

export function taskOf(task: Partial<Task> & Pick<Task, 'status'>, duty: Duty = FEED): Task {
  return { duty, dueOn: TODAY, daysOver: 0, lateness: 0, because: [], ...task }
}

let made = 0

/** An entry made on a day at a minute past eight, UTC. */
export function entryOn(
  day: number,
  fact: Pick<Entry, 'kind' | 'payload'>,
  { subject = 'tamsin', author = 'lotte' } = {},
): Entry {
  made += 1
  const occurredAt = new Date(day * 86_400_000 + (480 + made) * 60_000).toISOString()
  const uid = `01900000-0000-7000-8000-${made.toString(16).padStart(12, '0')}`
  return { ...fact, uid, subject, occurredAt, day, author } as Entry
}

export function stateOf(...entries: Entry[]): ResidentState {
  return replay('resident', entries)
}
