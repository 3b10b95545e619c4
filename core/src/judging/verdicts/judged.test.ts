import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Entry } from '../../facts/entries/entry.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { correction, entryOn, FIRST_DAY, retraction, told } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { residentDay } from '../walk/residentDay.ts'
import { lifeOn } from './lifeOn.ts'
import type { Verdict } from './verdict.ts'

const HOME = '00000000-0000-7000-8000-0000000000ff'
const arrived = entryOn(-400, 'arrived', { enclosure: HOME })
const growth = { from: 50, grown: [1000, 2500], days: [900, 1500], last: true } as const
const plan = planOf({ lives: 'individual', growth: { ...growth, grown: [1000, 2500], days: [900, 1500] } })

function said(day: number, entries: readonly Entry[], under: Plan = plan): Verdict[] {
  return residentDay({ day: FIRST_DAY + day, plan: under, state: told([arrived, ...entries]) }).verdicts
}

function codes(...asked: Parameters<typeof said>): string[] {
  return said(...asked).map(({ what, severity }) => `${severity} ${what.code}`)
}

const every = (days: number, grams: readonly number[], from = 0) =>
  grams.map((value, index) => entryOn(from + index * days, 'weighed', { grams: value }))
const steady = [1500, 1510, 1495, 1505, 1500, 1508]
const offers = (from: number, apart: number, outcomes: readonly ('taken' | 'refused' | 'left')[]) =>
  outcomes.map((outcome, index) => entryOn(from + index * apart, 'fed', { item: 'rat', outcome }))

describe('losing weight', () => {
  const falling = every(14, [...steady, 1440, 1385, 1330])

  it('is watched when it falls beyond chance, acted on from a tenth below the best of the year', () => {
    expect(codes(14 * 6, falling.slice(0, 7))).toEqual([])
    expect(codes(14 * 7, falling.slice(0, 8))).toEqual(['watch losing'])
    expect(codes(14 * 8, falling)).toEqual(['act losing'])
  })

  it('says how fast with its limits, how far below its best, and since when', () => {
    const [losing] = said(14 * 8, falling)
    if (losing?.what.code !== 'losing') throw new Error('It is not losing.')
    const { perWeek, belowBest } = losing.what
    expect(perWeek?.low).toBeLessThan(perWeek?.mid ?? NaN)
    expect(perWeek?.high).toBeLessThan(0)
    expect(belowBest).toBeGreaterThan(0.1)
    expect(belowBest).toBeLessThan(0.13)
    expect(losing.since).toBeLessThanOrEqual(FIRST_DAY + 14 * 6)
  })

  it('is seen sooner in one that should be growing', () => {
    const grown = planOf({ lives: 'individual' })
    const young = planOf({ lives: 'individual', next: { stage: 'adult', name: 'Adult', until: {} } })
    const grew = [116, 125, 120, 129, 124, 133, 127, 137, 131, 141, 135, 146]
    const fell = every(7, [...grew, 135, 141, 131, 137, 127])
    expect(codes(7 * 16, fell, grown)).toEqual([])
    expect(codes(7 * 16, fell, young)).toEqual(['watch losing'])
    // A pause is no loss.
    expect(codes(7 * 16, every(7, [...grew, 138, 146, 138, 145, 139]), young)).toEqual([])
  })

  it('is none of one light reading, nor of a slip', () => {
    expect(codes(14 * 7, every(14, [...steady, 1430, 1500]))).toEqual([])
    expect(codes(14 * 6, every(14, [...steady, 150]))).toEqual(['watch suspectWeight'])
    expect(codes(14 * 7, every(14, [...steady, 150, 1502]))).toEqual([])
  })

  it('says nothing any more when nobody weighed for months', () => {
    expect(codes(14 * 8 + 130, falling)).toEqual([])
  })

  it('begins anew once it has laid: neither a loss, nor a doubt, and then as ever', () => {
    const laid = [
      ...every(14, steady),
      entryOn(60, 'held', { hold: 'gravid', reason: 'Felt.' }),
      ...every(6, [1600, 1650], 62),
      entryOn(72, 'released', { hold: 'gravid' }),
      ...every(7, [1270, 1275, 1268], 77),
    ]
    expect(codes(77, laid.slice(0, -2))).toEqual([])
    expect(codes(92, laid)).toEqual([])
    expect(codes(77 + 49, [...laid, ...every(7, [1230, 1190, 1150, 1105], 77 + 21)])).toContain('act losing')
    // Nothing alive loses nine tenths with a clutch.
    expect(codes(77, [...laid.slice(0, -3), entryOn(77, 'weighed', { grams: 127 })])).toEqual([
      'watch suspectWeight',
    ])
  })

  it('is counted from what several readings bear, never from one with a full gut, eggs or straight from a journey', () => {
    const act = (entries: readonly Entry[]) =>
      said(14 * 9, entries).filter(({ severity }) => severity === 'act')
    const course = [1500, 1500, 1500, 1650, 1500, 1500, 1490, 1470, 1440, 1435]
    expect(act(every(14, course))).toEqual([])
    const full = entryOn(14 * 3, 'weighed', { grams: 1640, context: ['fullGut'] })
    expect(act([...every(14, course.slice(0, 3)), full, ...every(14, course.slice(4), 14 * 4)])).toEqual([])
  })

  it('asks to act only when a second reading agrees', () => {
    expect(codes(14 * 6, every(14, [...steady, 1290]))).not.toContain('act losing')
  })

  it('is an alarm where a fast takes a tenth', () => {
    const fasting = [
      entryOn(72, 'held', { hold: 'fasting', reason: 'Before the cold.' }),
      ...every(14, [...steady, 1440, 1385, 1320]),
    ]
    expect(said(14 * 8, fasting)).toMatchObject([
      { severity: 'act', what: { code: 'losing', explainedBy: 'fasting' } },
    ])
    expect(said(14 * 7, fasting.slice(0, 9))).toMatchObject([
      { severity: 'info', what: { code: 'lossExplained', explainedBy: 'fasting' } },
    ])
  })

  it('is no matter of a colony, which is judged by its counts', () => {
    expect(codes(14 * 8, falling, { ...plan, lives: 'colony' })).toEqual([])
  })
})

describe('a weight that does not fit', () => {
  const bounds = { grams: { range: [0.05, 12] as [number, number], of: 'sheet' as const }, mm: {} }

  it('is asked about at once where no other is on record', () => {
    const first = entryOn(0, 'weighed', { grams: 999 })
    expect(said(0, [first], planOf({ bounds }))).toMatchObject([
      { severity: 'watch', what: { code: 'suspectWeight', grams: 999, level: null, uid: first.uid } },
    ])
    expect(codes(0, [entryOn(0, 'weighed', { grams: 999, confirmed: true })], planOf({ bounds }))).toEqual([])
  })

  it('is named until a later one settles it, or it is corrected, taken back or confirmed', () => {
    const slip = entryOn(84, 'weighed', { grams: 150 })
    const before = every(14, steady)
    expect(said(100, [...before, slip])).toMatchObject([{ what: { code: 'suspectWeight', uid: slip.uid } }])
    expect(codes(100, [...before, slip, entryOn(90, 'weighed', { grams: 1503 })])).toEqual([])
    expect(codes(100, [...before, slip, correction(slip, { grams: 1500 })])).toEqual([])
    expect(codes(100, [...before, slip, retraction(slip)])).toEqual([])
  })
})

describe('growth', () => {
  const hatchling = planOf({
    lives: 'individual',
    growth: { from: 50, grown: [1000, 2500], days: [900, 1500], last: false },
    next: { stage: 'adult', name: 'Adult', until: { grams: 1000 } },
  })
  const grown = (perWeek: number, weeks: number) =>
    Array.from({ length: weeks }, (_, week) => 100 * Math.exp(perWeek * week))

  it('is too fast above what the sheet calls fast, and fine within it', () => {
    expect(codes(7 * 15, every(7, grown(0.13, 16)), hatchling)).toEqual(['watch gainingFast'])
    expect(codes(7 * 15, every(7, grown(0.05, 16)), hatchling)).toEqual([])
  })

  it('stands still when weeks go by without any', () => {
    expect(codes(7 * 20, every(7, grown(0, 21)), hatchling)).toEqual(['watch notGrowing'])
    expect(codes(7 * 20, every(7, grown(0, 21)))).toEqual(['watch notGrowing'])
    expect(codes(7 * 20, every(7, grown(0.02, 21)), hatchling)).toEqual([])
  })

  it('of a grown one above the best it had is a gain that is watched', () => {
    const fat = every(28, [1500, 1505, 1498, 1540, 1600, 1680, 1750, 1820])
    expect(codes(28 * 7, fat)).toEqual(['watch gainingFast'])
    const back = every(28, [1820, 1815, 1500, 1505, 1540, 1600, 1680, 1750])
    expect(codes(28 * 7, back).filter((code) => code.endsWith('gainingFast'))).toEqual([])
    const gravid = entryOn(90, 'held', { hold: 'gravid', reason: 'Felt.' })
    expect(codes(28 * 7, [...fat, gravid]).filter((code) => code.endsWith('gainingFast'))).toEqual([])
  })
})

describe('a row of refusals', () => {
  const eats = offers(
    0,
    7,
    Array.from({ length: 12 }, () => 'taken'),
  )

  it('is watched from what its stage allows, and ends with a meal', () => {
    const row = offers(84, 5, ['refused', 'refused', 'refused'])
    expect(codes(94, [...eats, ...row.slice(0, 2)])).toEqual([])
    expect(codes(94, [...eats, ...row])).toEqual(['watch refusing'])
    expect(codes(99, [...eats, ...row, ...offers(99, 1, ['taken'])])).toEqual([])
  })

  it('is longer for one that often refuses', () => {
    const picky = offers(
      0,
      5,
      Array.from({ length: 30 }, (_, at) => (at % 3 === 0 ? 'taken' : 'refused')),
    )
    const row = offers(150, 5, ['refused', 'refused'])
    expect(codes(156, [...picky, ...row])).toEqual([])
  })

  it('goes on where food that was left is found untouched, and waits for what was left last night', () => {
    const left = offers(84, 7, ['left', 'left', 'left'])
    const found = left.map((_, at) => entryOn(85 + at * 7, 'bowl', { found: 'full' }))
    expect(codes(99, [...eats, ...left, ...found])).toEqual(['watch refusing'])
    const again = [...eats, ...left, ...found, entryOn(105, 'fed', { item: 'rat', outcome: 'left' })]
    expect(codes(106, again)).toEqual(['watch refusing'])
    expect(codes(106, [...again, entryOn(106, 'bowl', { found: 'empty' })])).toEqual([])
  })

  it('is explained by a sign, a move, the season, or a shed that is due', () => {
    const row = offers(84, 5, ['refused', 'refused', 'refused'])
    const by = (more: readonly Entry[], under = plan) =>
      said(94, [...eats, ...row, ...more], under).map(({ what }) => 'explainedBy' in what && what.explainedBy)
    expect(by([entryOn(86, 'ecdysis', { stage: 'inBlue' })])).toEqual(['inBlue'])
    expect(by([entryOn(80, 'moved', { to: HOME })])).toEqual(['moved'])
    // 2026-01-01 and 94 days are the fifth of April.
    const season = { season: { from: '03-01', until: '05-31' }, why: 'Looks for females.' }
    expect(by([], { ...plan, fasts: [season] })).toEqual(['season'])
    expect(by([], { ...plan, fasts: [{ ...season, season: { from: '09-01', until: '11-30' } }] })).toEqual([
      null,
    ])
    const ecdysis = {
      what: 'shed',
      days: [35, 60],
      signs: { dull: 4, inBlue: 30, premolt: 8, sealedIn: 10, refusing: 2 },
    } as const
    const sheds = [-60, -10, 42].map((day) => entryOn(day, 'ecdysis', { stage: 'shed', how: 'whole' }))
    expect(by(sheds, { ...plan, ecdysis: { ...ecdysis, days: [35, 60] } })).toContain('ecdysisLikely')
  })
})

describe('skin', () => {
  const ecdysis = {
    what: 'shed' as const,
    days: [35, 60] as [number, number],
    signs: { dull: 4, inBlue: 30, premolt: 8, sealedIn: 10, refusing: 2 },
  }
  const snake = planOf({ ecdysis })
  const sheds = [-200, -150, -100, -50, 0].map((day) =>
    entryOn(day, 'ecdysis', { stage: 'shed', how: 'whole' }),
  )

  it('is expected in its time and overdue long after it, against its own intervals', () => {
    expect(codes(30, sheds, snake)).toEqual([])
    expect(codes(47, sheds, snake)).toEqual(['info ecdysisExpected'])
    expect(codes(100, sheds, snake)).toEqual(['watch ecdysisOverdue'])
    expect(codes(100, [], snake)).toEqual([])
  })

  it('is not waited for by one that rests, nor by a male tarantula that came of age', () => {
    const rest = entryOn(5, 'held', { hold: 'winterRest', reason: 'Cold.' })
    expect(codes(100, [...sheds, rest], snake)).not.toContain('watch ecdysisOverdue')
    const spider = planOf({ group: 'tarantula', ecdysis })
    const male = {
      name: 'Otto',
      sheet: 'testling',
      stage: 'adult',
      count: null,
      sex: 'male' as const,
      hatchedOn: null,
      barrier: null,
      schools: {},
    }
    const him = entryOn(-401, 'registered', male)
    expect(codes(100, [...sheds, him], spider)).not.toContain('watch ecdysisOverdue')
  })

  it('tells a sign that stays open too long, once', () => {
    expect(codes(70, [...sheds, entryOn(45, 'ecdysis', { stage: 'dull' })], snake)).toEqual([
      'watch signTooLong',
    ])
  })

  it('is late for nobody who eats its skin, whose sheds nobody wrote down, or who waited as long before', () => {
    const late = (under: Plan, on: readonly number[]) =>
      codes(
        (on.at(-1) ?? 0) + 100,
        on.map((day) => entryOn(day, 'ecdysis', { stage: 'shed' })),
        under,
      )
    expect(late(snake, [0, 40, 80, 120])).toEqual(['watch ecdysisOverdue'])
    expect(late({ ...snake, ecdysis: { ...ecdysis, what: 'shed', eaten: true } }, [0, 40, 80, 120])).toEqual(
      [],
    )
    expect(late(snake, [0, 40])).toEqual([])
    expect(late(snake, [0, 40, 130, 170])).toEqual([])
  })

  it('holds a sign for open while it refuses or is seen so, and for over once it eats', () => {
    const dull = entryOn(45, 'ecdysis', { stage: 'dull' })
    const fed = (outcome: 'taken' | 'refused') => offers(56, 6, [outcome, outcome, outcome])
    expect(codes(70, [dull, ...fed('refused')], snake)).toContain('watch signTooLong')
    expect(codes(70, [dull, ...fed('taken')], snake)).toEqual([])
    const again = entryOn(58, 'ecdysis', { stage: 'dull' })
    expect(codes(70, [dull, again, ...fed('taken')], snake)).toEqual(['watch signTooLong'])
    // Told again months later, it is another.
    expect(codes(122, [dull, entryOn(120, 'ecdysis', { stage: 'dull' })], snake)).toEqual([])
  })

  it('tells limbs that a molt cost', () => {
    expect(codes(5, [entryOn(0, 'ecdysis', { stage: 'molted', limbsLost: 2 })])).toEqual(['watch limbsLost'])
  })
})

describe('not being seen', () => {
  const frog = planOf({ unseenToWorry: 3 })
  const seen = entryOn(0, 'looked', { seen: true })
  const looks = [2, 4, 6].map((day) => entryOn(day, 'looked', { seen: false }))

  it('is graver when food stays untouched and no droppings are found', () => {
    const untouched = [
      entryOn(5, 'fed', { item: 'flies', outcome: 'left' }),
      entryOn(6, 'bowl', { found: 'full' }),
    ]
    const none = entryOn(6, 'droppings', { kind: 'none' })
    expect(codes(7, [seen, ...looks], frog)).toEqual(['watch unseen'])
    expect(codes(7, [seen, ...looks, ...untouched, none], frog)).toEqual(['act unseen'])
  })

  it('is only told where droppings, or a meal that is gone, show that it lives', () => {
    const eaten = [
      entryOn(5, 'fed', { item: 'flies', outcome: 'left' }),
      entryOn(6, 'bowl', { found: 'empty' }),
    ]
    expect(codes(7, [seen, ...looks, ...eaten], frog)).toEqual(['info unseen'])
    expect(codes(7, [seen, ...looks, entryOn(6, 'droppings', { kind: 'normal' })], frog)).toEqual([
      'info unseen',
    ])
  })

  it('is usual for one that is seldom seen', () => {
    const shy = [-40, -32, -24, -16, -8, 0].map((day) => entryOn(day, 'looked', { seen: true }))
    expect(codes(7, [...shy.slice(0, 5), seen, ...looks], frog)).toEqual(['watch unseen'])
    expect(codes(7, [entryOn(-48, 'looked', { seen: true }), ...shy, ...looks], frog)).toEqual([])
  })

  it('is no alarm before it was looked for in vain on two days', () => {
    const again = entryOn(6, 'looked', { seen: false }, { minute: 900 })
    expect(codes(7, [seen], frog)).toEqual(['info unseen'])
    expect(codes(7, [seen, ...looks.slice(2), again], frog)).toEqual(['info unseen'])
    expect(codes(7, [seen, ...looks.slice(1)], frog)).toEqual(['watch unseen'])
  })
})

describe('a life', () => {
  const known = { sheet: 'testling', stage: 'adult', sex: 'unknown', hatchedOn: null } as const
  const verdictsOn = (entries: readonly Entry[], days: readonly number[]) =>
    lifeOn(
      entries,
      days.map((day) => FIRST_DAY + day),
      known,
    ).map(({ day, state }) => residentDay({ day, plan, state }).verdicts)
  const history = [
    arrived,
    ...every(14, [...steady, 1440, 150, 1330]),
    ...offers(0, 7, ['taken', 'refused', 'refused', 'refused', 'taken']),
  ]

  it('is judged on each day by what was on record by then, whatever comes after or in which order it is given', () => {
    const days = [20, 30, 60, 98, 112]
    const whole = verdictsOn(history, days)
    for (const [at, day] of days.entries())
      expect(
        verdictsOn(
          history.filter((entry) => entry.day <= FIRST_DAY + day),
          [day],
        ),
      ).toEqual([whole[at]])
    fc.assert(
      fc.property(fc.shuffledSubarray(history, { minLength: history.length }), (shuffled) => {
        expect(verdictsOn(shuffled, days)).toEqual(whole)
      }),
      { numRuns: 10 },
    )
  })

  it('hears a correction from its own day on', () => {
    const slip = history.find((entry) => entry.kind === 'weighed' && entry.payload.grams === 150)
    if (slip?.kind !== 'weighed') throw new Error('There is no slip.')
    const corrected = {
      ...correction(slip, { grams: 1385 }),
      day: FIRST_DAY + 104,
      occurredAt: new Date((FIRST_DAY + 104) * 86_400_000).toISOString(),
    }
    const suspect = (day: number) =>
      verdictsOn([...history, corrected], [day])[0]?.some(({ what }) => what.code === 'suspectWeight')
    expect([suspect(103), suspect(104)]).toEqual([true, false])
  })

  it('is never judged graver for one more explanation', () => {
    const rank = { info: 0, watch: 1, act: 2, urgent: 3 } as const
    const gravest = (entries: readonly Entry[], day: number) =>
      Math.max(
        0,
        ...said(day, entries).flatMap(({ what, severity }) =>
          what.code === 'losing' || what.code === 'refusing' ? [rank[severity]] : [],
        ),
      )
    const weights = fc.array(fc.integer({ min: 1200, max: 1600 }), { minLength: 4, maxLength: 9 })
    const hold = fc.constantFrom('gravid', 'fasting', 'settling', 'winterRest', 'premolt')
    fc.assert(
      fc.property(weights, hold, fc.nat(100), (grams, kind, day) => {
        const entries = [
          ...every(14, grams),
          ...offers(3, 9, ['taken', 'refused', 'refused', 'refused', 'refused']),
        ]
        const set = entryOn(day, 'held', { hold: kind, reason: 'So' })
        const last = (grams.length - 1) * 14
        expect(gravest([...entries, set], last)).toBeLessThanOrEqual(gravest(entries, last))
      }),
    )
  })
})
