import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told, uidOf } from '../../testing/histories.ts'
import { dutyOf, planOf } from '../../testing/plans.ts'
import { residentDay } from '../walk/residentDay.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import { isStopped } from './stops.ts'

const rest = { hold: 'winterRest', suppresses: ['feed', 'clean'] } as const
const weekly = { type: 'every', days: 7, tolerance: 1 } as const
const plan = planOf({
  duties: [
    dutyOf({ id: 'soak', does: 'water', effects: ['bathing'] }),
    dutyOf({ id: 'water', does: 'water' }),
    dutyOf({ id: 'treat', does: 'check', effects: ['feeding'] }),
    dutyOf({
      id: 'weigh',
      does: 'weigh',
      cadence: { type: 'every', days: 28, tolerance: 4 },
      cadenceDuring: { winterRest: weekly },
    }),
  ],
})

function statusAfter(days: number, ...entries: Parameters<typeof told>[0]) {
  const state = told([
    entryOn(0, 'arrived', { enclosure: uidOf(1) }),
    entryOn(1, 'weighed', { duty: 'weigh', grams: 900 }),
    ...entries,
  ])
  const { tasks } = residentDay({ day: FIRST_DAY + 1 + days, plan, state })
  return Object.fromEntries(tasks.map(({ duty, status }) => [duty.id, status]))
}

const held = entryOn(1, 'held', { hold: 'winterRest', reason: 'November' })

describe('a winter rest', () => {
  it('keeps a bath and a bite from whoever rests, whatever the duty is called, but not water', () => {
    expect(statusAfter(3)).toMatchObject({ soak: 'late', treat: 'late', water: 'late' })
    expect(statusAfter(3, held)).toMatchObject({ soak: 'held', treat: 'held', water: 'late' })
  })

  it('has its own time between weighings, which nobody else has', () => {
    expect([statusAfter(8)['weigh'], statusAfter(8, held)['weigh']]).toEqual(['notYet', 'due'])
  })
})

type Row = [hold: HoldKind, duty: Parameters<typeof dutyOf>[0], stopped: boolean]

describe('what a duty does to the animal', () => {
  const stops = (hold: HoldKind, duty: Parameters<typeof dutyOf>[0]) =>
    isStopped(dutyOf(duty), { hold, suppresses: [] })
  const floorOut: Row[1] = { id: 'out', does: 'check', effects: ['handling'] }

  it.each<Row>([
    ['settling', { id: 'weigh', does: 'weigh' }, true],
    ['settling', { id: 'clean', does: 'clean' }, false],
    ['settling', floorOut, true],
    ['digesting', floorOut, true],
    ['inBlue', { id: 'measure', does: 'measure' }, true],
    ['sealedIn', { id: 'clean', does: 'clean' }, true],
    ['sealedIn', { id: 'dampen', does: 'dampen' }, false],
    ['soft', { id: 'feed', does: 'feed' }, true],
    ['founding', { id: 'peep', does: 'check', effects: ['lighting'] }, true],
    ['winterRest', { id: 'peep', does: 'read', effects: ['lighting'] }, true],
    ['winterRest', floorOut, true],
    ['winterRest', { id: 'weigh', does: 'weigh' }, false],
    ['fasting', { id: 'weigh', does: 'weigh' }, false],
    ['vetOrder', { id: 'weigh', does: 'weigh' }, false],
  ])('under %s, %j is stopped: %s', (hold, duty, stopped) => {
    expect(stops(hold, duty)).toBe(stopped)
  })
})

it('a duty that does not yield to a hold is done all the same', () => {
  const soak = dutyOf({ id: 'soak', does: 'water', effects: ['bathing'] })
  expect([isStopped(soak, rest), isStopped({ ...soak, despite: ['winterRest'] }, rest)]).toEqual([
    true,
    false,
  ])
  expect(isStopped(dutyOf({ id: 'feed', does: 'feed', despite: ['winterRest'] }), rest)).toBe(false)
})
