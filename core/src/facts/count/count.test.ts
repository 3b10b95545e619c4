import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, NEWCOMER, told, uidOf } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../../judging/walk/residentDay.ts'
import { countOf } from './howMany.ts'

const [HERE, THERE] = [uidOf(1), uidOf(2)]
const arrived = entryOn(0, 'arrived', { enclosure: HERE })
type Entries = Parameters<typeof told>[0]
const counted = (day: number, count: number, expected?: number) =>
  entryOn(day, 'counted', { count, ...(expected !== undefined && { expected }) })
const missingOn = (day: number, entries: Entries) =>
  residentDay({ day: FIRST_DAY + day, plan: planOf(), state: told([arrived, ...entries]) }).verdicts.find(
    ({ what }) => what.code === 'unaccounted',
  )

describe('a move that finds fewer than it expected', () => {
  const move = entryOn(3, 'moved', { to: THERE, expected: 12, found: 10 })

  it('stays on the walk as unaccounted until somebody closes it', () => {
    const open = missingOn(20, [move])
    expect(open).toMatchObject({ severity: 'act', what: { missing: 2, day: FIRST_DAY + 3 } })
    expect(open?.because).toContainEqual(expect.objectContaining({ fact: 'count', expected: 12, found: 10 }))
    const closed = entryOn(21, 'accounted', { found: 1, lost: 1, why: 'One under the cork, one dead' })
    expect(missingOn(22, [move, closed])).toBeUndefined()
    expect(countOf(told([arrived, move, closed]))).toBe(11)
  })

  it('opens nothing when everybody is there', () => {
    expect(missingOn(4, [entryOn(3, 'moved', { to: THERE, expected: 12, found: 12 })])).toBeUndefined()
  })
})

describe('who is missing', () => {
  it('adds up over several counts', () => {
    const open = missingOn(9, [counted(1, 8, 10), counted(5, 7, 8)])
    expect(open?.what).toMatchObject({ missing: 3, day: FIRST_DAY + 1 })
    expect(open?.because).toHaveLength(2)
  })

  it('stays open for those nobody has accounted for', () => {
    const found = entryOn(6, 'accounted', { found: 1, lost: 0, why: 'Under the cork' })
    expect(missingOn(9, [counted(1, 8, 10), found])?.what).toMatchObject({ missing: 1 })
  })

  it('found again, they are counted with those counted since', () => {
    const found = entryOn(6, 'accounted', { found: 1, lost: 1, why: 'Under the cork' })
    expect(countOf(told([counted(1, 8, 10), counted(5, 15), found]))).toBe(16)
  })
})

describe('a colony known only to the register', () => {
  const registered = entryOn(0, 'registered', { ...NEWCOMER, count: 200 })

  it('gains the young that were found in its old floor', () => {
    expect(countOf(told([registered, entryOn(4, 'gained', { count: 9 })]))).toBe(209)
  })

  it('loses those that died or left, and ends only with the last', () => {
    const some = told([registered, arrived, entryOn(4, 'died', { count: 30 })])
    expect(countOf(some)).toBe(170)
    expect(some.stay.ended).toBeNull()
    const sold = told([registered, arrived, entryOn(5, 'left', { count: 200, to: 'Another house' })])
    expect(sold.stay).toMatchObject({ place: null, ended: { how: 'left', day: FIRST_DAY + 5 } })
  })
})

describe('one animal that died', () => {
  it('is nowhere, and its stay has ended', () => {
    expect(told([arrived, entryOn(4, 'died', { why: 'Found in the morning' })]).stay).toMatchObject({
      place: null,
      ended: { how: 'died' },
    })
  })

  it('was it a mistake, it is where it was', () => {
    const died = entryOn(4, 'died', {})
    const back = {
      ...died,
      uid: uidOf(88),
      kind: 'retracted',
      payload: { target: died.uid, why: 'It moved' },
    }
    expect(told([arrived, died, back as never]).stay).toMatchObject({
      place: { enclosure: HERE },
      ended: null,
    })
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
  const dayOf = (day: number, entries: Entries) =>
    residentDay({ day: FIRST_DAY + day, plan, state: told(entries) })

  it('asks only for its place to be made ready', () => {
    const { tasks, holds } = dayOf(0, [expected])
    expect(tasks.map(({ duty }) => duty.id)).toEqual(['before:1'])
    expect(holds).toEqual([])
  })

  it('asks for its care once it is here', () => {
    const { tasks } = dayOf(1, [expected, entryOn(1, 'arrived', { enclosure: HERE })])
    expect(tasks.map(({ duty }) => duty.id)).toEqual(['feed', 'water', 'weigh'])
  })
})
