import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, uidOf } from '../testing/histories.ts'
import { planOf } from '../testing/plans.ts'
import { residentDay } from '../walk/residentDay.ts'
import { replay } from './replay.ts'

const [HERE, THERE] = [uidOf(1), uidOf(2)]
const arrived = entryOn(0, 'arrived', { enclosure: HERE })

function dayOf(entries: Parameters<typeof replay>[0], day: number, plan = planOf()) {
  return residentDay({ day: FIRST_DAY + day, plan, state: replay(entries) })
}

const codes = (day: ReturnType<typeof dayOf>) => day.verdicts.map(({ what }) => what.code)

describe('a move that finds fewer than it expected', () => {
  const move = entryOn(3, 'moved', { to: THERE, expected: 12, found: 10, leaves: 'toClean' })

  it('stays on the walk as unaccounted until somebody closes it', () => {
    const open = dayOf([arrived, move], 20).verdicts.find(({ what }) => what.code === 'unaccounted')
    expect(open).toMatchObject({ severity: 'act', what: { missing: 2, expected: 12, found: 10 } })
    expect(open?.because).toContainEqual(expect.objectContaining({ fact: 'count', expected: 12 }))
    const closed = entryOn(21, 'accounted', { found: 1, why: 'One under the cork, one dead' })
    expect(codes(dayOf([arrived, move, closed], 22))).not.toContain('unaccounted')
    expect(replay([arrived, move, closed]).count).toMatchObject({ count: 11 })
  })

  it('leaves the old place to be cleaned', () => {
    const left = dayOf([arrived, move], 4).verdicts.find(({ what }) => what.code === 'vacated')
    expect(left?.what).toMatchObject({ enclosure: HERE, leaves: 'toClean' })
    const cleaned = entryOn(4, 'vacated', { enclosure: HERE, floor: 'cleaned' })
    expect(codes(dayOf([arrived, move, cleaned], 4))).not.toContain('vacated')
  })

  it('opens nothing when everybody is there', () => {
    const whole = entryOn(3, 'moved', { to: THERE, expected: 12, found: 12 })
    expect(codes(dayOf([arrived, whole], 4))).toEqual([])
  })
})

describe('old floor that was put aside', () => {
  const plan = planOf({ heldFloor: { days: 42, checkEvery: 7, hides: 'young' } })
  const moved = entryOn(3, 'moved', { to: THERE, leaves: 'toHold' })
  const held = entryOn(3, 'floorHeld', { at: 'Larder, low shelf', from: HERE }, { minute: 600 })
  const history = [arrived, moved, held]
  const taskOn = (day: number, entries = history) =>
    dayOf(entries, day, plan).tasks.find(({ duty }) => duty.id === `floor:${held.uid}`)

  it('closes the matter of the place it came from', () => {
    expect(codes(dayOf(history, 4, plan))).not.toContain('vacated')
  })

  it.each([
    [9, 'notYet'],
    [10, 'due'],
    [11, 'due'],
    [12, 'late'],
  ])('asks for a look every seven days: day %i is %s', (day, status) => {
    expect(taskOn(day)?.status).toBe(status)
  })

  it('counts a look from the last look', () => {
    const look = entryOn(11, 'floorChecked', { floor: held.uid, found: 'nothing' })
    expect(taskOn(11, [...history, look])?.status).toBe('done')
    expect(taskOn(17, [...history, look])?.status).toBe('notYet')
    expect(taskOn(18, [...history, look])?.status).toBe('due')
  })

  it('adds young that were found to the count of the colony', () => {
    const counted = entryOn(4, 'counted', { count: 200 })
    const found = entryOn(11, 'floorChecked', {
      floor: held.uid,
      found: 'babies',
      count: 9,
      became: 'recount',
    })
    expect(replay([...history, counted, found]).count?.count).toBe(209)
  })

  it('is kept as long again when something lived in it', () => {
    const found = entryOn(40, 'floorChecked', { floor: held.uid, found: 'eggs' })
    expect(codes(dayOf([...history, found], 81, plan))).not.toContain('floorReady')
    expect(codes(dayOf([...history, found], 82, plan))).toContain('floorReady')
  })

  it('says when it may go, and is gone when released', () => {
    expect(codes(dayOf(history, 44, plan))).not.toContain('floorReady')
    expect(codes(dayOf(history, 45, plan))).toContain('floorReady')
    const gone = entryOn(46, 'floorReleased', { floor: held.uid })
    expect(taskOn(47, [...history, gone])).toBeUndefined()
    expect(replay([...history, gone]).floors).toBeUndefined()
  })
})

describe('somebody who is expected', () => {
  const plan = planOf({
    duties: [
      ...planOf().duties,
      {
        ...planOf().duties[0],
        id: 'before:1',
        does: 'check',
        cadence: { type: 'once', day: FIRST_DAY },
      } as never,
    ],
  })
  const expected = entryOn(0, 'expected', { enclosure: HERE })

  it('asks only for its place to be made ready', () => {
    const { tasks, holds } = dayOf([expected], 0, plan)
    expect(tasks.map(({ duty }) => duty.id)).toEqual(['before:1'])
    expect(holds).toEqual([])
  })

  it('asks for its care once it is here', () => {
    const ids = dayOf([expected, entryOn(1, 'arrived', { enclosure: HERE })], 1, plan).tasks
    expect(ids.map(({ duty }) => duty.id)).toEqual(['feed', 'water', 'weigh'])
  })
})
