import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Plan } from '../../plans/plan/plan.ts'
import { entryOn, FIRST_DAY, history, KEEPERS, told } from '../../testing/histories.ts'
import { CRICKETS, dutyOf, planOf } from '../../testing/plans.ts'
import { asPlanned } from './asPlanned.ts'
import type { Place } from '../../facts/places/place.ts'
import { residentDay } from './residentDay.ts'
import { isToDo } from './task.ts'
import { walk } from './walk.ts'

const home = '00000000-0000-7000-8000-0000000000ff'
const arrived = entryOn(0, 'arrived', { enclosure: home }, { minute: 1 })
type Entries = Parameters<typeof told>[0]

function on(day: number, entries: Entries, plan: Plan = planOf(), minute?: number) {
  const at = { day: FIRST_DAY + day, plan, state: told([arrived, ...entries]) }
  const { tasks, holds, verdicts } = residentDay(minute === undefined ? at : { ...at, minute })
  const task = (id: string) => tasks.find(({ duty }) => duty.id === id)
  return { task, holds, verdicts, tasks }
}

const fed = (day: number, outcome: 'taken' | 'refused' | 'notOffered' = 'taken') =>
  entryOn(day, 'fed', { item: 'crickets', outcome, count: 5 })

describe('a task', () => {
  it('is done on the day it was done, by whom and with what outcome', () => {
    expect(on(7, [fed(0), fed(7, 'refused')]).task('feed')).toMatchObject({
      status: 'done',
      done: { by: KEEPERS[0], outcome: 'refused' },
    })
  })

  it('refused yesterday waits as many days as the plan says, then is due again', () => {
    expect(on(9, [fed(0), fed(7, 'refused')]).task('feed')).toMatchObject({
      status: 'notYet',
      dueOn: FIRST_DAY + 10,
    })
    expect(on(10, [fed(0), fed(7, 'refused')]).task('feed')?.status).toBe('due')
  })

  it('not offered stays due the next day', () => {
    expect(on(8, [fed(0), fed(7, 'notOffered')]).task('feed')?.status).toBe('due')
  })

  it('waits for its hour, and only for that', () => {
    const evening = planOf({
      duties: [dutyOf({ id: 'feed', does: 'feed', foods: [CRICKETS], window: { from: 1080, until: 1300 } })],
    })
    expect(on(3, [fed(2)], evening, 600).task('feed')).toMatchObject({ status: 'open', opensAtMinute: 1080 })
    expect(on(3, [fed(2)], evening, 1090).task('feed')?.status).toBe('due')
    expect(on(3, [fed(2)], evening).task('feed')?.status).toBe('due')
  })

  it('of one feeding duty is not done by a meal of another', () => {
    const ants = planOf({
      duties: [
        dutyOf({ id: 'feed', does: 'feed', foods: [{ item: 'seed', sizes: [] }] }),
        dutyOf({ id: 'protein', does: 'feed', foods: [{ item: 'flies', sizes: [] }] }),
      ],
    })
    const meal = entryOn(5, 'fed', { duty: 'protein', item: 'flies', outcome: 'taken' })
    expect(on(5, [meal], ants).task('protein')?.status).toBe('done')
    expect(on(5, [meal], ants).task('feed')?.status).not.toBe('done')
  })

  it('says its facts, its rule and its source', () => {
    expect(on(9, [fed(0)]).task('feed')?.because).toEqual([
      { fact: 'lastDone', duty: 'feed', day: FIRST_DAY, by: KEEPERS[0] },
      { rule: 'cadence', cadence: { type: 'every', days: 7, tolerance: 1 } },
      { source: { from: 'sheet', sheet: 'testling', stage: 'adult' } },
    ])
  })
})

describe('a hold', () => {
  const blue = entryOn(5, 'ecdysis', { stage: 'inBlue' })

  it('stops what it stops, names itself, and leaves water alone', () => {
    const { task } = on(9, [fed(0), blue])
    expect(task('feed')).toMatchObject({ status: 'held', hold: 'inBlue' })
    expect(task('water')?.status).not.toBe('held')
  })

  it('ends with the shed', () => {
    expect(on(12, [fed(0), blue, entryOn(11, 'ecdysis', { stage: 'shed' })]).holds).toEqual([])
  })

  it('past the day it should have ended becomes a verdict and stays', () => {
    expect(on(18, [blue]).verdicts).toEqual([])
    const { holds, verdicts } = on(19, [blue])
    expect(holds).toMatchObject([{ hold: 'inBlue', overdue: true }])
    expect(verdicts).toMatchObject([{ what: { code: 'signTooLong', stage: 'inBlue', days: 14 } }])
  })

  it('that time ends is over when its days are', () => {
    expect(on(6, []).holds.map(({ hold }) => hold)).toEqual(['settling'])
    expect(on(7, []).holds).toEqual([])
  })

  it('of a full stomach depends on the size of the meal', () => {
    const meal = (grams: number) => [
      entryOn(10, 'weighed', { grams: 1000 }),
      entryOn(11, 'fed', { item: 'rat', grams, outcome: 'taken' }),
    ]
    expect(on(12, meal(80)).holds.map(({ hold }) => hold)).toEqual(['digesting'])
    expect(on(12, meal(20)).holds).toEqual([])
  })

  it('set by a person carries who and why, and ends when lifted', () => {
    const set = entryOn(3, 'held', { hold: 'gravid', reason: 'Follicles felt.' })
    expect(on(20, [set]).holds[0]?.because[0]).toMatchObject({
      fact: 'setBy',
      by: KEEPERS[0],
      reason: 'Follicles felt.',
    })
    expect(on(20, [set, entryOn(10, 'released', { hold: 'gravid' })]).holds).toEqual([])
  })

  it('does not stop a duty that is to be done despite it', () => {
    const stubborn = planOf()
    const duties = stubborn.duties.map((duty) =>
      duty.id === 'feed' ? { ...duty, despite: ['inBlue' as const] } : duty,
    )
    expect(on(9, [fed(0), blue], { ...stubborn, duties }).task('feed')?.status).toBe('late')
  })
})

describe('verdicts', () => {
  it('name a streak of refusals, and whether something explains it', () => {
    const refusals = [fed(40), fed(47, 'refused'), fed(50, 'refused'), fed(53, 'refused')]
    expect(on(54, refusals).verdicts).toMatchObject([
      { severity: 'watch', what: { code: 'refusing', inRow: 3, explainedBy: null } },
    ])
    const blue = entryOn(53, 'ecdysis', { stage: 'inBlue' })
    expect(on(54, [...refusals, blue]).verdicts).toMatchObject([
      { severity: 'info', what: { explainedBy: 'inBlue' } },
    ])
  })

  it('tell when two people fed on one day', () => {
    const second = entryOn(
      7,
      'fed',
      { item: 'crickets', outcome: 'taken' },
      { author: KEEPERS[1], minute: 700 },
    )
    expect(on(7, [fed(7), second]).verdicts).toMatchObject([
      { what: { code: 'fedTwice', by: [KEEPERS[0], KEEPERS[1]] } },
    ])
  })

  it('put the gravest first', () => {
    const seen = (severity: 'info' | 'urgent') => entryOn(9, 'observed', { text: severity, severity })
    expect(on(9, [seen('info'), seen('urgent')]).verdicts.map(({ severity }) => severity)).toEqual([
      'urgent',
      'info',
    ])
  })
})

describe('as planned', () => {
  it('makes entries that leave nothing of the plan undone but what needs a number', () => {
    fc.assert(
      fc.property(history, fc.integer({ min: 0, max: 90 }), (all, day) => {
        const entries = all.filter((entry) => entry.day <= FIRST_DAY + day)
        const before = on(day, entries)
        const drafts = before.tasks.filter(isToDo).flatMap((task) => asPlanned('r', task) ?? [])
        const later = drafts.map((draft, index) => ({
          ...entryOn(day, 'noted', { text: '' }, { minute: 1439.5 + index / 100 }),
          ...draft,
        }))
        const after = residentDay({
          day: FIRST_DAY + day,
          plan: planOf(),
          state: told([arrived, ...entries, ...later]),
        })
        const left = after.tasks.filter(isToDo)
        expect(left.every(({ duty, nothingToOffer }) => duty.does === 'weigh' || nothingToOffer)).toBe(true)
      }),
    )
  })
})

describe('the walk', () => {
  const place = (
    room: string,
    roomOrder: number,
    bay: string,
    row: number,
    column: number,
    barrier: 0 | 1 | 2 | 3 = 1,
  ): Place => ({
    room,
    roomOrder,
    bay,
    bayOrder: Number(bay),
    row,
    column,
    barrier,
  })
  const at = (id: string, where: Place) => ({ id, plan: planOf(), state: told([arrived]), place: where })

  it('goes up the barriers and never back, then room, bay, shelf and slot; a room met again is a new stop', () => {
    const residents = [
      at('sick', place('tar', 2, '1', 0, 1, 2)),
      at('gate', place('gate', 1, '1', 0, 0, 2)),
      at('b2', place('tar', 2, '2', 0, 0)),
      at('b1-low', place('tar', 2, '1', 1, 0)),
      at('b1-right', place('tar', 2, '1', 0, 2)),
      at('b1-left', place('tar', 2, '1', 0, 0)),
      at('newborn', place('zoo', 9, '1', 0, 0, 0)),
    ]
    const { stops } = walk({ day: FIRST_DAY + 3, residents })
    expect(
      stops.map(({ room, bay, barrier, visits }) => [
        room,
        bay,
        barrier,
        visits.map(({ resident }) => resident),
      ]),
    ).toEqual([
      ['zoo', '1', 0, ['newborn']],
      ['tar', '1', 1, ['b1-left', 'b1-right', 'b1-low']],
      ['tar', '2', 1, ['b2']],
      ['gate', '1', 2, ['gate']],
      ['tar', '1', 2, ['sick']],
    ])
  })

  it('does not depend on the order residents are handed over in', () => {
    const residents = Array.from({ length: 12 }, (_, index) =>
      at(`r${index}`, place(`room ${index % 3}`, index % 3, '1', index % 2, index)),
    )
    fc.assert(
      fc.property(fc.shuffledSubarray(residents, { minLength: 12 }), (mixed) => {
        expect(walk({ day: FIRST_DAY + 8, residents: mixed })).toEqual(
          walk({ day: FIRST_DAY + 8, residents }),
        )
      }),
    )
  })

  it('sums what to carry, what to dust and how much water', () => {
    const { prep } = walk({
      day: FIRST_DAY,
      residents: [at('a', place('r', 1, '1', 0, 0)), at('b', place('r', 1, '1', 0, 1))],
    })
    expect(prep).toMatchObject({
      carry: [{ item: 'crickets', size: 'S', count: [8, 12], meals: 2, supplements: { calcium: 2 } }],
      litres: 1,
      dusting: { calcium: 2 },
    })
  })

  it('begins gut-loading a day before the meal falls due, not sooner and not later', () => {
    const ahead = (day: number) =>
      walk({
        day: FIRST_DAY + day,
        residents: [
          { id: 'a', plan: planOf(), state: told([arrived, fed(0)]), place: place('r', 1, '1', 0, 0) },
        ],
      }).prep.ahead
    expect(ahead(5)).toEqual([])
    expect(ahead(7)).toEqual([])
    const begun = ahead(6)
    expect(begun).toEqual([
      { do: 'gutLoad', item: 'crickets', size: 'S', forDay: FIRST_DAY + 7, count: 6, grams: 0 },
    ])
  })
})
