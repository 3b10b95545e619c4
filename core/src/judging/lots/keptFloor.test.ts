import { describe, expect, it } from 'vitest'
import type { Entry } from '../../facts/entries/entry.ts'
import { emptyState, replay } from '../../facts/fold/replay.ts'
import { entryOn, FIRST_DAY, uidOf } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { asPlanned } from '../walk/asPlanned.ts'
import { residentDay } from '../walk/residentDay.ts'
import { keptFloor } from './keptFloor.ts'

const LOT = uidOf(501)
const plan = planOf({ duties: [], heldFloor: { days: 42, checkEvery: 7, hides: 'young' } })
const kept = entryOn(3, 'floorKept', { of: uidOf(1), at: 'Larder, low shelf' })

function on(day: number, entries: readonly Entry[]) {
  const floor = keptFloor(LOT, replay('lot', [kept, ...entries]))
  return residentDay({
    day: FIRST_DAY + day,
    plan,
    state: emptyState('resident'),
    floors: floor ? [floor] : [],
  })
}
function onOfGone(day: number, entries: readonly Entry[]) {
  const floor = keptFloor(LOT, replay('lot', [kept, ...entries]))
  const state = replay('resident', [
    entryOn(0, 'arrived', { enclosure: uidOf(2) }),
    entryOn(4, 'died', { why: 'Found in the morning' }),
  ])
  return residentDay({
    day: FIRST_DAY + day,
    plan: planOf({ heldFloor: plan.heldFloor }),
    state,
    floors: floor ? [floor] : [],
  })
}
const taskOn = (day: number, entries: readonly Entry[] = []) => on(day, entries).tasks[0]
const codesOn = (day: number, entries: readonly Entry[] = []) =>
  on(day, entries).verdicts.map(({ what }) => what.code)

describe('old floor that was put aside', () => {
  it.each([
    [9, 'notYet'],
    [10, 'due'],
    [11, 'due'],
    [12, 'late'],
  ])('asks for a look every seven days: day %i is %s', (day, status) => {
    expect(taskOn(day)).toMatchObject({ status, keptAt: 'Larder, low shelf' })
  })

  it('counts a look from the last look', () => {
    const look = entryOn(11, 'floorChecked', { found: 'nothing' })
    expect(taskOn(11, [look])?.status).toBe('done')
    expect(taskOn(17, [look])?.status).toBe('notYet')
    expect(taskOn(18, [look])?.status).toBe('due')
  })

  it('one touch says of the floor, not of the resident, that nothing lived in it', () => {
    const task = taskOn(10)
    if (!task) throw new Error('No task.')
    expect(asPlanned(uidOf(1), task)).toEqual({
      subject: LOT,
      kind: 'floorChecked',
      payload: { found: 'nothing' },
    })
  })

  it('is kept as long again when something lived in it', () => {
    const found = entryOn(40, 'floorChecked', { found: 'eggs' })
    expect(codesOn(81, [found])).not.toContain('floorReady')
    expect(codesOn(82, [found])).toContain('floorReady')
  })

  it('says when it may go, and is gone when thrown away', () => {
    expect(codesOn(44)).not.toContain('floorReady')
    expect(codesOn(45)).toContain('floorReady')
    expect(taskOn(47, [entryOn(46, 'floorDisposed', {})])).toBeUndefined()
  })
})

describe('old floor of somebody who is gone', () => {
  const codes = (day: number, entries: readonly Entry[] = []) =>
    onOfGone(day, entries).verdicts.map(({ what }) => what.code)

  it('is all that is still asked for, and is said when a look is due', () => {
    expect(onOfGone(9, []).tasks.map(({ keptAt }) => keptAt)).toEqual(['Larder, low shelf'])
    expect(codes(9)).toEqual(['gone'])
    expect(codes(10)).toEqual(['floorWaits', 'gone'])
    expect(codes(10, [entryOn(10, 'floorChecked', { found: 'nothing' })])).toEqual(['gone'])
  })

  it('may go in the end, as that of anybody', () => {
    const looks = [44, 45].map((day) => entryOn(day, 'floorChecked', { found: 'nothing' }))
    expect(codes(45, looks)).toEqual(['floorReady', 'gone'])
    expect(codes(45, [...looks, entryOn(45, 'floorDisposed', {})])).toEqual(['gone'])
  })
})
