import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { dutyOf, planOf } from '../../testing/plans.ts'
import { asPlanned } from '../walk/asPlanned.ts'
import { residentDay } from '../walk/residentDay.ts'
import { Standing } from '../../plans/sheet/standing.ts'

const arrived = entryOn(0, 'arrived', { enclosure: '00000000-0000-7000-8000-0000000000ff' }, { minute: 1 })

function verdictsOn(day: number, entries: Parameters<typeof told>[0], plan = planOf()) {
  return residentDay({ day: FIRST_DAY + day, plan, state: told([arrived, ...entries]) }).verdicts
}

describe('not being seen', () => {
  const plan = planOf({ unseenToWorry: 4 })
  const seen = entryOn(2, 'looked', { seen: true })
  const searched = [entryOn(4, 'looked', { seen: false }), entryOn(6, 'looked', { seen: false })]

  it('is a worry after as many days as the sheet says, with the looks since', () => {
    expect(verdictsOn(6, [seen, ...searched], plan)).toEqual([])
    expect(verdictsOn(7, [seen, ...searched], plan)).toMatchObject([
      { severity: 'watch', what: { code: 'unseen', days: 5, searches: 2 } },
    ])
  })

  it('is none for kinds that hide for months, nor while a hold says to leave it be', () => {
    expect(verdictsOn(300, [seen])).toEqual([])
    const sealed = planOf({
      unseenToWorry: 4,
      holds: [
        {
          hold: 'sealedIn',
          suppresses: ['look'],
          endsBy: 'event',
          source: planOf().duties[0]?.source ?? never(),
        },
      ],
    })
    expect(verdictsOn(90, [seen, entryOn(3, 'ecdysis', { stage: 'sealedIn' })], sealed)).toEqual([])
  })
})

function never(): never {
  throw new Error('The plan has duties.')
}

describe('old skin', () => {
  const shed = entryOn(10, 'ecdysis', { stage: 'shed', how: 'inPieces', retained: ['eyeCaps'] })

  it('is watched, then acted upon, until a whole shed', () => {
    expect(verdictsOn(12, [shed])).toMatchObject([{ severity: 'watch', what: { code: 'retainedSkin' } }])
    expect(verdictsOn(14, [shed])).toMatchObject([{ severity: 'watch' }])
    expect(verdictsOn(15, [shed])).toMatchObject([{ severity: 'act' }])
    expect(verdictsOn(60, [shed, entryOn(55, 'ecdysis', { stage: 'shed', how: 'whole' })])).toEqual([])
  })

  it('is acted upon at once where the sheet says so, and names the rule', () => {
    const plan = planOf({ standing: { ...planOf().standing, retainedToAct: 0 } })
    const [verdict] = verdictsOn(10, [shed], plan)
    expect(verdict).toMatchObject({ severity: 'act' })
    expect(verdict?.because).toContainEqual({ rule: 'retainedSkin', days: 0 })
  })
})

describe('what somebody saw', () => {
  it('stays before the next shifts as long as it is grave', () => {
    const saw = (severity: 'info' | 'urgent') => entryOn(10, 'observed', { text: 'So', severity })
    expect(verdictsOn(11, [saw('info')])).toEqual([])
    expect(verdictsOn(30, [saw('urgent')])).toMatchObject([{ severity: 'urgent' }])
    const long = planOf({
      standing: Standing.parse({ observationDays: { info: 5, watch: 5, act: 5, urgent: 5 } }),
    })
    expect(verdictsOn(11, [saw('info')], long)).toMatchObject([{ severity: 'info' }])
    expect(verdictsOn(30, [saw('urgent')], long)).toEqual([])
  })
})

describe('a bowl that is looked at', () => {
  const plan = planOf({
    duties: [
      dutyOf({
        id: 'seed',
        does: 'feed',
        cadence: { type: 'whenEmpty', lookEvery: 3, tolerance: 0 },
        foods: [{ item: 'seed mix', sizes: [] }],
      }),
    ],
  })
  const seed = (day: number, entries: Parameters<typeof told>[0]) => {
    const { tasks } = residentDay({ day: FIRST_DAY + day, plan, state: told([arrived, ...entries]) })
    const [task] = tasks
    if (!task) throw new Error('No task.')
    return task
  }
  const found = (day: number, what: 'empty' | 'leftovers', refilled = false) =>
    entryOn(day, 'bowl', { duty: 'seed', found: what, refilled })

  it('as planned means there was still some', () => {
    expect(asPlanned('x', seed(3, [found(0, 'leftovers')]))?.payload).toMatchObject({ found: 'leftovers' })
  })

  it('found empty stays due, also on the day, until it is filled', () => {
    const empty = [found(0, 'leftovers'), found(3, 'empty')]
    expect(seed(3, empty)).toMatchObject({ status: 'due', emptySince: FIRST_DAY + 3 })
    expect(seed(5, empty)).toMatchObject({ status: 'late', daysOver: 2 })
    expect(asPlanned('x', seed(5, empty))?.payload).toMatchObject({ found: 'empty', refilled: true })
    expect(seed(5, [...empty, found(5, 'empty', true)]).status).toBe('done')
  })

  it('is filled by a feeding too, and one bowl says nothing of another', () => {
    const meal = entryOn(4, 'fed', { duty: 'seed', item: 'seed mix', outcome: 'left' })
    expect(seed(5, [found(3, 'empty'), meal])).not.toHaveProperty('emptySince')
    const other = entryOn(4, 'bowl', { duty: 'sugar', found: 'empty' })
    expect(seed(5, [found(3, 'leftovers'), other])).not.toHaveProperty('emptySince')
  })
})
