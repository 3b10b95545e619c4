import type { Sheet } from '../sheet/sheet.ts'
import type { Duty } from './duty.ts'
import type { Source } from './source.ts'

function check(id: string, label: string, cadence: Duty['cadence'], source: Source): Duty {
  return { id, does: 'check', label, cadence, people: 1, minutes: 1, source }
}

/** The sheet's setup list as duties: once before the animal comes, then daily and weekly. */
export function setupDuties(setup: Sheet['setup'], source: Source, day: number): Duty[] {
  if (!setup) return []
  return [
    ...setup.before.map((label, index) => check(`before:${index + 1}`, label, { type: 'once', day }, source)),
    ...setup.daily.map((label, index) =>
      check(`daily:${index + 1}`, label, { type: 'every', days: 1, tolerance: 0 }, source),
    ),
    ...setup.weekly.map((label, index) =>
      check(`weekly:${index + 1}`, label, { type: 'every', days: 7, tolerance: 2 }, source),
    ),
  ]
}

/** Whether a duty is about getting the place ready, before anybody moves in. */
export function isBefore({ id }: Pick<Duty, 'id'>): boolean {
  return id.startsWith('before:')
}
