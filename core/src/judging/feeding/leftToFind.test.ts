import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { CRICKETS, dutyOf, planOf } from '../../testing/plans.ts'
import { asPlanned, canBeAsPlanned } from '../walk/asPlanned.ts'
import { residentDay } from '../walk/residentDay.ts'

type Entries = Parameters<typeof told>[0]

const GNAWING = { ...CRICKETS, outAfterHours: 1, bites: true }
const left = entryOn(3, 'fed', { duty: 'feed', item: CRICKETS.item, count: 5, outcome: 'left' })
const bowl = (day: number, found: 'empty' | 'full') => entryOn(day, 'bowl', { duty: 'feed', found })
const premolt = entryOn(2, 'ecdysis', { stage: 'premolt' })

function takeOut(entries: Entries, day: number, food: object = GNAWING) {
  const duties = [
    dutyOf({ id: 'feed', does: 'feed', foods: [{ ...GNAWING, ...food }] }),
    dutyOf({ id: 'look', does: 'look' }),
  ]
  const plan = planOf({ duties })
  const state = told([entryOn(0, 'arrived', { enclosure: plan.sheet }), ...entries])
  return residentDay({ day: FIRST_DAY + day, plan, state }).tasks.find(({ leftToFind }) => leftToFind)
}

describe('prey that was left to find', () => {
  it('comes out after the hour of its sheet, that day', () => {
    const task = takeOut([left], 3)
    const lies = Date.parse(task?.leftToFind?.outBy ?? '') - Date.parse(left.occurredAt)
    expect(task).toMatchObject({ status: 'due', leftToFind: { duty: 'feed', item: CRICKETS.item } })
    expect(lies).toBe(3_600_000)
    expect(task?.because).toContainEqual(expect.objectContaining({ rule: 'takeOut', hours: 1 }))
  })

  it('comes out on the next round where it may lie over night, and is late the day after that', () => {
    expect([3, 4, 5].map((day) => takeOut([left], day, { outAfterHours: 12 })?.status)).toEqual([
      'notYet',
      'due',
      'late',
    ])
  })

  it('comes out at once from one that is about to molt, whatever hours it may lie', () => {
    const task = takeOut([premolt, left], 3, { outAfterHours: 12 })
    expect(task).toMatchObject({ status: 'due', leftToFind: { outBy: left.occurredAt } })
    expect(task?.because).toContainEqual(expect.objectContaining({ fact: 'sign', stage: 'premolt' }))
    // What cannot bite only goes bad.
    expect(takeOut([premolt, left], 3, { outAfterHours: 12, bites: false })?.status).toBe('notYet')
  })

  it.each([
    ['somebody found it eaten', [left, bowl(4, 'empty')]],
    ['somebody found it untouched and took it out', [left, bowl(4, 'full')]],
    ['it ate in view since', [left, entryOn(4, 'fed', { duty: 'feed', item: 'x', outcome: 'taken' })]],
  ])('is done with once %s', (_, entries) => {
    expect(takeOut(entries, 4)).toBeUndefined()
  })

  it('is not asked for once nobody can say any more what became of it', () => {
    expect(takeOut([left], 6)?.status).toBe('late')
    expect(takeOut([left], 7)).toBeUndefined()
  })

  it('stays where its sheet lets it: leaves, what lives on in the box', () => {
    expect(takeOut([left], 4, { outAfterHours: undefined })).toBeUndefined()
  })

  it('takes a look, and no one touch for all', () => {
    const task = takeOut([left], 3)
    expect(task && [canBeAsPlanned(task), asPlanned('one', task)]).toEqual([false, null])
  })
})
