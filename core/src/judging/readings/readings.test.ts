import { describe, expect, it } from 'vitest'
import { doubtAbout } from '../doubts/doubts.ts'
import type { Entry } from '../../facts/entries/entry.ts'
import { replay } from '../../facts/fold/replay.ts'
import { isPlan, resolvePlan } from '../../plans/plan/resolvePlan.ts'
import { Sheet } from '../../plans/sheet/sheet.ts'
import { correction, entryOn, FIRST_DAY, retraction, told } from '../../testing/histories.ts'
import { residentDay } from '../walk/residentDay.ts'
import { limitsAt, pointsOf } from '../../plans/readings/limits.ts'

const sheet = Sheet.parse({
  id: 'testling',
  common: 'Testling',
  latin: 'Testudo testis',
  group: 'lizard',
  lives: 'individual',
  stages: [
    {
      id: 'adult',
      name: 'Adult',
      duties: [{ id: 'look', does: 'look', cadence: { type: 'every', days: 1 } }],
    },
  ],
  targets: [
    { zone: 'basking', measures: 'surface', celsius: [38, 42], ceilingCelsius: 50, readEvery: 7 },
    {
      zone: 'cool end',
      measures: 'air',
      celsius: [24, 27],
      nightCelsius: [19, 23],
      humidity: [30, 50],
      ceilingCelsius: 35,
      neverBelowCelsius: 15,
    },
    {
      zone: 'winter rest',
      measures: 'air',
      during: 'winterRest',
      celsius: [10, 14],
      ceilingCelsius: 17,
      neverBelowCelsius: 6,
    },
  ],
  light: { uvb: { share: [0.5, 0.7], distanceMm: [250, 400], index: [2, 4], readEvery: 28 } },
  water: { ammonia: { want: [0, 0], harmAbove: 0.25 }, ph: { want: [6.5, 8], harmBelow: 6, harmAbove: 8.5 } },
  waterEvery: 7,
  sources: ['common husbandry practice'],
})
const resolved = resolvePlan(sheet, { stage: 'adult', day: FIRST_DAY })
if (!isPlan(resolved)) throw new Error('No plan.')
const plan = resolved

type What = 'celsius' | 'humidity' | 'uvIndex' | 'ammonia' | 'ph'
const HOME = '00000000-0000-7000-8000-0000000000ff'
const read = (zone: string, what: What, value: number, day = 0) =>
  entryOn(day, 'reading', { zone, what, value })

function dayOf(entries: readonly Entry[], day = 0, about: readonly Entry[] = []) {
  const { readings = {} } = replay('place', entries)
  return residentDay({ day: FIRST_DAY + day, plan, state: told(about), readings })
}
const verdicts = (entries: readonly Entry[], about: readonly Entry[] = []) =>
  dayOf(entries, 0, about).verdicts.flatMap(({ severity, what }) =>
    what.code === 'reading' ? [[severity, what.high]] : [],
  )

describe('a reading held against its zone', () => {
  it.each([
    ['within what is wanted by day or by night', read('cool end', 'celsius', 21), []],
    ['a hot basking surface, which can be left', read('basking', 'celsius', 45), [['watch', true]]],
    ['a surface that burns', read('basking', 'celsius', 50), [['urgent', true]]],
    ['air that harms', read('cool end', 'celsius', 36), [['urgent', true]]],
    ['air too cold', read('cool end', 'celsius', 15), [['urgent', false]]],
    ['air a little cool', read('cool end', 'celsius', 17), [['watch', false]]],
    ['damp air', read('cool end', 'humidity', 70), [['watch', true]]],
    ['ultraviolet as wanted', read('where it basks', 'uvIndex', 3), []],
    ['ultraviolet that burns', read('where it basks', 'uvIndex', 6), [['act', true]]],
    ['weak ultraviolet', read('where it basks', 'uvIndex', 0.5), [['watch', false]]],
    ['clean water', read('water', 'ammonia', 0), []],
    ['water that poisons', read('water', 'ammonia', 0.5), [['urgent', true]]],
    ['sour water', read('water', 'ph', 5.5), [['urgent', false]]],
    [
      'a point the sheet does not name, as hot as harms anywhere',
      read('shelf', 'celsius', 35),
      [['urgent', true]],
    ],
    ['a point the sheet does not name', read('shelf', 'celsius', 33), []],
  ] as const)('%s', (_, entry, expected) => {
    expect(verdicts([entry])).toEqual(expected)
  })

  it('says the reading, the limits and where they come from', () => {
    const [hot] = dayOf([read('cool end', 'celsius', 36)]).verdicts
    expect(hot?.because).toMatchObject([
      { fact: 'reading', zone: 'cool end', value: 36, day: FIRST_DAY },
      { rule: 'limits', want: [19, 27], harmAbove: 35, harmBelow: 15 },
      { source: { from: 'sheet' } },
    ])
    expect(hot?.what).toMatchObject({ code: 'reading', harms: true, inWater: false })
  })

  it('is urgent until a better one is read, or it is taken back or put right', () => {
    const hot = read('cool end', 'celsius', 36)
    expect(verdicts([hot, read('cool end', 'celsius', 25, 1)])).toEqual([])
    expect(verdicts([hot, retraction(hot)])).toEqual([])
    expect(verdicts([hot, correction(hot, { zone: 'cool end', what: 'celsius', value: 26 })])).toEqual([])
    expect(verdicts([hot, read('basking', 'celsius', 40, 1)])).toEqual([['urgent', true]])
  })

  it('of water is judged wherever something lives in water, whether or not the sheet says limits', () => {
    const toad = {
      ...plan,
      targets: [{ zone: 'pool', measures: 'water' as const, celsius: [17, 23] as [number, number] }],
    }
    const { water: _unsaid, ...dry } = toad
    const of = (under: typeof dry, value: number) =>
      limitsAt({ zone: 'water', what: 'ammonia' }, under)?.harmAbove !== undefined &&
      value >= (limitsAt({ zone: 'water', what: 'ammonia' }, under)?.harmAbove ?? Infinity)
    expect(of(dry, 1)).toBe(true)
    expect(of(dry, 0.1)).toBe(false)
    expect(limitsAt({ zone: 'water', what: 'ammonia' }, { ...dry, targets: [] })).toBeNull()
  })

  it('of humidity harms beyond what its sheet says, over days and not at once', () => {
    const targets = [{ zone: 'air', measures: 'air' as const, humidityHarms: [40, 95] as [number, number] }]
    const says = (value: number) =>
      residentDay({
        day: FIRST_DAY,
        plan: { ...plan, targets },
        state: told([]),
        readings: replay('place', [read('air', 'humidity', value)]).readings ?? {},
      }).verdicts.map(({ severity }) => severity)
    expect([says(38), says(60), says(97)]).toEqual([['act'], [], ['act']])
  })

  it('of ultraviolet harms the young sooner', () => {
    const harms = (young: boolean) =>
      limitsAt(
        { zone: 'where it basks', what: 'uvIndex' },
        { ...plan, ...(young && { next: { stage: 'adult', name: 'Adult', until: {} } }) },
      )?.harmAbove
    expect([harms(false), harms(true)]).toEqual([6, 4.5])
  })

  it('of ultraviolet wants half of it for what is pale, and says that it is', () => {
    const pale = entryOn(0, 'described', { pale: true })
    const of = (value: number, about: Entry[]) => {
      const [first] = dayOf([read('where it basks', 'uvIndex', value)], 0, about).verdicts
      return first && [first.severity, first.because.some((one) => 'fact' in one && one.fact === 'pale')]
    }
    expect(of(3.5, [])).toBeUndefined()
    expect(of(3.5, [pale])).toEqual(['act', true])
    expect(of(2.5, [pale])).toEqual(['watch', true])
    expect(of(1, [pale])).toBeUndefined()
    expect(of(3.5, [pale, entryOn(1, 'described', { pale: false })])).toBeUndefined()
    // Warmth is the same for all.
    expect(verdicts([read('cool end', 'celsius', 25)], [pale])).toEqual([])
  })

  it('in a rest is held against the climate of the rest', () => {
    const resting = entryOn(0, 'held', { hold: 'winterRest', reason: 'November' })
    const codes = (celsius: number) =>
      dayOf([read('winter rest', 'celsius', celsius)], 0, [resting]).verdicts.filter(
        ({ what }) => what.code === 'reading',
      )
    expect(codes(12)).toEqual([])
    expect(codes(18)).toMatchObject([{ severity: 'urgent' }])
    expect(codes(5)).toMatchObject([{ severity: 'urgent' }])
    const of = (...entries: Entry[]) => verdicts(entries, [resting])
    expect(of(read('basking', 'celsius', 40))).toEqual([])
    expect(of(read('cool end', 'celsius', 24, -1))).toEqual([])
    expect(of(read('cool end', 'celsius', 24))).toEqual([['urgent', true]])
  })

  it('of a rest says nothing of its waking life, nor of the place of a rest in which it is not', () => {
    const rested = [
      entryOn(-90, 'held', { hold: 'winterRest', reason: 'November' }),
      entryOn(-10, 'released', { hold: 'winterRest' }),
    ]
    const of = (...entries: Entry[]) => verdicts(entries, rested)
    expect(of(read('winter rest', 'celsius', 5, -20))).toEqual([])
    expect(of(read('cool end', 'celsius', 6, -20))).toEqual([])
    // Still in the cold box after it is said to be awake, or a cold house before it was laid to rest.
    expect(of(read('cool end', 'celsius', 6, -9))).toEqual([['urgent', false]])
    expect(of(read('cool end', 'celsius', 6, -100))).toEqual([['urgent', false]])
    // The box it will rest in, tried out before.
    expect(verdicts([read('winter rest', 'celsius', 5)])).toEqual([])
    // What is in its water is there whether it sleeps or not.
    expect(of(read('water', 'ammonia', 1, -20))).toEqual([['urgent', true]])
  })

  it('on the day of its waking is of the rest or of its life in the order of the record', () => {
    const held = entryOn(-90, 'held', { hold: 'winterRest', reason: 'November' })
    const cold = { zone: 'cool end', what: 'celsius', value: 6 } as const
    const before = entryOn(0, 'reading', cold, { minute: 420 })
    const released = entryOn(0, 'released', { hold: 'winterRest' }, { minute: 480 })
    const after = entryOn(0, 'reading', cold, { minute: 540 })
    expect(verdicts([before], [held, released])).toEqual([])
    expect(verdicts([after], [held, released])).toEqual([['urgent', false]])
  })
})

describe('the walk', () => {
  const asked = (entries: readonly Entry[], day: number) =>
    dayOf(entries, day, [entryOn(-30, 'arrived', { enclosure: HOME })])
      .tasks.filter(({ duty, status }) => duty.does === 'read' && status !== 'notYet')
      .map(({ duty, status }) => [duty.reads?.what, duty.reads?.zone, status])

  it('asks for what the sheet wants read, as often as it says, and for no more', () => {
    const all = ['celsius', 'celsius', 'humidity', 'uvIndex', 'ammonia', 'ph'] as const
    expect(asked([], 0).map(([what]) => what)).toEqual([...all])
    const readings = [
      read('cool end', 'celsius', 25),
      read('cool end', 'humidity', 40),
      read('basking', 'celsius', 40),
      read('where it basks', 'uvIndex', 3),
      read('water', 'ammonia', 0),
      read('water', 'ph', 7),
    ]
    expect(asked(readings, 0).map(([, , status]) => status)).toEqual(Array(6).fill('done'))
    expect(asked(readings, 5).filter(([, , status]) => status === 'due')).toEqual([])
    expect(asked(readings, 7).map(([what]) => what)).toEqual(['celsius', 'ammonia', 'ph'])
    // What has limits is read, however seldom, where the sheet does not say how often.
    expect(asked(readings, 28).filter(([, zone]) => zone === 'cool end')).toHaveLength(2)
  })

  it('asks for the climate of a rest while it rests, and for no other', () => {
    const resting = entryOn(0, 'held', { hold: 'winterRest', reason: 'November' })
    const zones = dayOf([], 1, [resting]).tasks.flatMap(({ duty }) => (duty.reads ? [duty.reads.zone] : []))
    const [rest] = dayOf([], 2, [entryOn(-300, 'arrived', { enclosure: HOME }), resting]).tasks.filter(
      ({ duty }) => duty.reads?.during,
    )
    expect(rest).toMatchObject({ status: 'late', daysOver: 2 })
    expect(zones).toContain('winter rest')
    expect(zones).not.toContain('basking')
  })

  it('asks anew for the climate of its waking life once it is awake', () => {
    const rested = [
      entryOn(-300, 'arrived', { enclosure: HOME }),
      entryOn(-90, 'held', { hold: 'winterRest', reason: 'November' }),
      entryOn(-3, 'released', { hold: 'winterRest' }),
    ]
    const [cool] = dayOf([read('cool end', 'celsius', 12, -4)], 0, rested).tasks.filter(
      ({ duty }) => duty.reads?.zone === 'cool end',
    )
    expect(cool).toMatchObject({ status: 'due', dueOn: FIRST_DAY - 3 })
  })

  it('offers every point the plan says something of', () => {
    expect(pointsOf(plan)).toEqual([
      { zone: 'basking', what: 'celsius' },
      { zone: 'cool end', what: 'celsius' },
      { zone: 'cool end', what: 'humidity' },
      { zone: 'where it basks', what: 'uvIndex' },
      ...(['ammonia', 'nitrite', 'nitrate', 'ph', 'chlorine'] as const).map((what) => ({
        zone: 'water',
        what,
      })),
    ])
    expect(pointsOf(plan, ['winterRest'])[0]).toEqual({ zone: 'winter rest', what: 'celsius' })
  })
})

it('a temperature that no enclosure has is asked about', () => {
  const about = (value: number) =>
    doubtAbout(
      { subject: 'x', kind: 'reading', payload: { zone: 'basking', what: 'celsius', value } },
      { day: FIRST_DAY, state: told([]), plan },
    )
  expect(about(95)).toMatchObject({ code: 'offScale', low: -5, high: 60 })
  expect(about(40)).toBeNull()
})

it('a zero read with a minus is the zero that comes back from the store', () => {
  const kept = replay('place', [read('a', 'celsius', -0)])
  expect(kept).toEqual(JSON.parse(JSON.stringify(kept)))
})
