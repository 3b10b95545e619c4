import { describe, expect, it } from 'vitest'
import { isPlan, resolvePlan } from '../../plans/plan/resolvePlan.ts'
import { Sheet } from '../../plans/sheet/sheet.ts'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { doubtAbout } from '../doubts/doubts.ts'
import { quarantineOn } from '../quarantine/quarantine.ts'
import { residentDay } from '../walk/residentDay.ts'

const sheet = Sheet.parse({
  id: 'testling',
  common: 'Testling',
  latin: 'Testudo testis',
  group: 'lizard',
  lives: 'individual',
  quarantineDays: 90,
  unseenToWorry: 14,
  stages: [
    {
      id: 'adult',
      name: 'Adult',
      duties: [
        { id: 'look', does: 'look', cadence: { type: 'every', days: 1 } },
        { id: 'weigh', does: 'weigh', cadence: { type: 'every', days: 28 } },
        { id: 'check', does: 'measure', cadence: { type: 'after', event: 'arrived', days: 30 } },
      ],
    },
  ],
  holds: [{ hold: 'settling', endsBy: 'time', days: 14, suppresses: ['weigh'] }],
  sources: ['common husbandry practice'],
})
const resolved = resolvePlan(sheet, { stage: 'adult', day: FIRST_DAY })
if (!isPlan(resolved)) throw new Error('No plan.')
const plan = resolved
const HOME = '00000000-0000-7000-8000-0000000000ff'

/** The day on which somebody who was here for so many days is taken on record. */
function takenOn(days: number | null) {
  const hereSince = days === null ? null : FIRST_DAY - days
  const state = told([entryOn(0, 'arrived', { enclosure: HOME, hereSince })])
  const day = FIRST_DAY
  return { state, day, ...residentDay({ day, plan, state, readings: {} }) }
}

describe('who was here before its record began', () => {
  it.each([
    ['for five years', 1915],
    ['for nobody knows how long', null],
  ])('%s has settled in, is in no quarantine, and is late with nothing', (_, days) => {
    const { state, day, holds, tasks, verdicts } = takenOn(days)
    expect(holds).toEqual([])
    expect(quarantineOn(day, plan, state)).toBeNull()
    expect(tasks.filter(({ duty }) => duty.does !== 'measure').map(({ daysOver }) => daysOver)).toEqual([
      0, 0,
    ])
    expect(verdicts).toEqual([])
  })

  it('and came a few days ago settles in, and is in quarantine from the day it came', () => {
    const { state, day, holds } = takenOn(10)
    expect(holds).toMatchObject([{ hold: 'settling', since: FIRST_DAY - 10 }])
    expect(holds[0]?.because[0]).toEqual({ fact: 'arrived', day: FIRST_DAY - 10 })
    expect(quarantineOn(day, plan, state)).toMatchObject({ since: FIRST_DAY - 10, until: FIRST_DAY + 80 })
  })

  it('can be told of what happened to it then, but not of what happened before it came', () => {
    const about = (days: number | null, ago: number) =>
      doubtAbout(
        { subject: 'x', kind: 'noted', payload: { text: 'Shed' } },
        { day: FIRST_DAY - ago, state: takenOn(days).state, plan },
      )
    expect(about(100, 50)).toBeNull()
    expect(about(null, 50)).toBeNull()
    expect(about(100, 150)).toMatchObject({ code: 'beforeArrival', day: FIRST_DAY - 100 })
  })

  it('settles in again once it is moved, and anew when it comes back', () => {
    const moved = told([
      entryOn(0, 'arrived', { enclosure: HOME, hereSince: null }),
      entryOn(3, 'moved', { to: '00000000-0000-7000-8000-0000000000fe' }),
    ])
    const { holds } = residentDay({ day: FIRST_DAY + 4, plan, state: moved, readings: {} })
    expect(holds).toMatchObject([{ hold: 'settling', since: FIRST_DAY + 3 }])
    const back = told([
      entryOn(0, 'arrived', { enclosure: HOME, hereSince: null }),
      entryOn(3, 'left', { to: 'Elsewhere' }),
      entryOn(9, 'arrived', { enclosure: HOME }),
    ])
    expect(quarantineOn(FIRST_DAY + 10, plan, back)).toMatchObject({ since: FIRST_DAY + 9 })
  })
})
