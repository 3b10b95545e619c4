import { describe, expect, it } from 'vitest'
import { FULL_CLEAN } from '../../facts/cleaning/cleaned.ts'
import type { Entry } from '../../facts/entries/entry.ts'
import { replay } from '../../facts/fold/replay.ts'
import type { Payload } from '../../facts/subjects/families.ts'
import { entryOn, FIRST_DAY, told, uidOf } from '../../testing/histories.ts'
import { dutyOf, planOf } from '../../testing/plans.ts'
import { asPlanned } from '../walk/asPlanned.ts'
import { residentDay } from '../walk/residentDay.ts'
import { doneInBox } from './boxDuties.ts'
import { placeVerdicts } from './placeVerdicts.ts'

const HERE = uidOf(1)
const plan = planOf({
  duties: [
    dutyOf({ id: 'water', does: 'water' }),
    dutyOf({ id: 'bath', does: 'water', effects: ['bathing'] }),
    dutyOf({ id: 'clean', does: 'clean' }),
    dutyOf({ id: FULL_CLEAN, does: 'clean' }),
    dutyOf({ id: 'lamp', does: 'check' }),
    dutyOf({ id: 'look', does: 'look' }),
  ],
})

const tended = (day: number, payload: Payload<'tended'>) => entryOn(day, 'tended', payload)
const tenant = (...entries: Entry[]) => ({
  plan,
  state: told([entryOn(0, 'arrived', { enclosure: HERE }), ...entries]),
})

function statuses(day: number, box: Entry[], who = tenant(), others: ReturnType<typeof tenant>[] = []) {
  const done = doneInBox(replay('place', box), [who, ...others])
  const { tasks } = residentDay({ day: FIRST_DAY + day, ...who, box: done })
  return Object.fromEntries(tasks.map(({ duty, status }) => [duty.id, status]))
}

describe('a duty of the box', () => {
  it('done in it is done for each who lives there, and a bath is not', () => {
    const box = [tended(3, { duty: 'water', does: 'water' })]
    expect(statuses(3, box)).toMatchObject({ water: 'done', bath: 'late', clean: 'late' })
  })

  it('goes on counting for those who move in after', () => {
    const newcomer = { plan, state: told([entryOn(3, 'arrived', { enclosure: HERE }, { minute: 700 })]) }
    expect(statuses(3, [tended(3, { duty: 'water', does: 'water' })], newcomer)).toMatchObject({
      water: 'done',
    })
  })

  it('said of one who lives there, as it used to be, counts for the others', () => {
    const other = tenant(entryOn(3, 'watered', {}), entryOn(3, 'cleaned', { scope: 'full' }))
    expect(statuses(3, [], tenant(), [other])).toMatchObject({
      water: 'done',
      clean: 'done',
      [FULL_CLEAN]: 'done',
      look: 'late',
    })
  })

  it('said of one before it moved in was done elsewhere', () => {
    const moved = tenant(
      entryOn(3, 'watered', {}, { minute: 300 }),
      entryOn(3, 'moved', { to: HERE }, { minute: 400 }),
    )
    expect(statuses(3, [], moved)).toMatchObject({ water: 'late' })
  })

  it('of a full clean does what every lesser clean does, and readies a box that was left to be cleaned', () => {
    const left = entryOn(1, 'vacated', { resident: uidOf(9), leaves: 'toClean' })
    const cleaned = tended(3, { duty: FULL_CLEAN, does: 'clean', scope: 'full' })
    expect(statuses(3, [left, cleaned])).toMatchObject({ clean: 'done', [FULL_CLEAN]: 'done' })
    expect(placeVerdicts(replay('place', [left]), false)).toHaveLength(1)
    expect(placeVerdicts(replay('place', [left, cleaned]), false)).toEqual([])
    const spot = tended(3, { duty: 'clean', does: 'clean', scope: 'spot' })
    expect(placeVerdicts(replay('place', [left, spot]), false)).toHaveLength(1)
  })

  it('is told apart by sheet where a list of checks names it', () => {
    const lamp = residentDay({ day: FIRST_DAY, plan, state: tenant().state }).tasks.find(
      ({ duty }) => duty.id === 'lamp',
    )
    const mine = lamp && asPlanned('r', lamp, { enclosure: HERE, plan })
    expect(mine).toMatchObject({
      subject: HERE,
      kind: 'tended',
      payload: { duty: 'lamp testling', does: 'check' },
    })
    const box = [tended(3, mine?.payload as Payload<'tended'>)]
    expect(statuses(3, box)).toMatchObject({ lamp: 'done' })
    const other = { ...tenant(), plan: { ...plan, sheet: 'another' } }
    expect(statuses(3, box, other)).toMatchObject({ lamp: 'late' })
  })

  it.each([
    ['water', { kind: 'tended', subject: HERE }],
    ['bath', { kind: 'watered', subject: 'r' }],
    ['clean', { kind: 'tended', payload: { scope: 'spot' } }],
    ['look', { kind: 'looked', subject: 'r' }],
  ])('"%s" as planned is said of what it is done to', (id, said) => {
    const task = residentDay({ day: FIRST_DAY, plan, state: tenant().state }).tasks.find(
      ({ duty }) => duty.id === id,
    )
    expect(task && asPlanned('r', task, { enclosure: HERE, plan })).toMatchObject(said)
  })
})
