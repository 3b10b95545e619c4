import type { Severity, Verdict, VerdictWhat } from '@kobrin/core'
import { ADVICE, adviceOn, HoldKind, Quantity, SheetGroup } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { sayNext } from './advice.ts'
import en from './en/advice.ts'

const NO_LOSS = { belowBest: 0.11, lost: 0.11, perWeek: null, first: 'Weigh again.' }
const reading = { code: 'reading', zone: 'air', value: 1 } as const
const YES_AND_NO = [true, false]
const EXPLAINED = [null, 'season', 'heat', 'cold', 'ecdysis', 'moved', 'spurt'] as const

/** Every kind of verdict that is advised about, in each of its forms. */
const WHATS: readonly VerdictWhat[] = [
  ...EXPLAINED.map((explainedBy) => ({ code: 'losing' as const, ...NO_LOSS, explainedBy })),
  ...EXPLAINED.flatMap((explainedBy) =>
    explainedBy ? [{ code: 'lossExplained' as const, ...NO_LOSS, explainedBy }] : [],
  ),
  ...EXPLAINED.map((explainedBy) => ({
    ...{ code: 'refusing' as const, duty: 'feed', inRow: 3, days: 20 },
    explainedBy,
  })),
  { code: 'gainingFast', gained: 0.3, expected: 0.1, days: 90, grown: true },
  { code: 'notGrowing', gained: 0, expected: 0.1, days: 90 },
  { code: 'suspectWeight', grams: 1, level: 2, uid: 'x' },
  { code: 'firstWeight', grams: 1 },
  { code: 'offItsCurve', grams: 1, below: true },
  ...(['dull', 'inBlue', 'premolt', 'sealedIn', 'soft'] as const).map((stage) => ({
    ...{ code: 'signTooLong' as const, days: 30, daysOver: 10 },
    stage,
  })),
  { code: 'ecdysisOverdue', what: 'shed', days: 90, shorter: 0.99 },
  { code: 'ecdysisExpected', what: 'shed', chance: 0.6 },
  { code: 'retainedSkin', parts: ['toes'], layers: 1, day: 1 },
  { code: 'limbsLost', count: 1, day: 1 },
  ...YES_AND_NO.map((gone) => ({ code: 'unseen' as const, days: 9, searches: 3, hidden: false, gone })),
  { code: 'wake' },
  { code: 'restUnfit', obstacles: [{ code: 'noRest' }] },
  { code: 'restUnfit', obstacles: [{ code: 'unweighed', day: 1, within: 10 }] },
  { code: 'restUnfit', obstacles: [{ code: 'thin', score: 2, day: 1 }] },
  ...HoldKind.options.map((hold) => ({ code: 'holdOverdue' as const, hold, daysOver: 3 })),
  ...Quantity.options.flatMap((what) =>
    YES_AND_NO.flatMap((high) =>
      YES_AND_NO.flatMap((harms) =>
        YES_AND_NO.map((inWater) => ({ ...reading, what, high, harms, inWater })),
      ),
    ),
  ),
  ...[2, 4.5].map((score) => ({ code: 'condition' as const, score, before: null, propose: [] })),
  { code: 'otherPrey', item: 'mice', from: 'S', to: 'M', on: 9 },
  { code: 'outgrows', on: 9, from: 8, to: 10 },
  { code: 'crowded', animals: 9, range: null, room: 4, by: 'floor' },
  { code: 'crowded', animals: 2, range: null, room: 5, by: 'start' },
  { code: 'grewAtMolt', part: 'legSpan', share: 0.1 },
  { code: 'longerIntervals', what: 'shed', share: 0.1 },
  { code: 'fedTwice', duty: 'feed', by: ['x'] },
]

/** Under these an animal is not fed, not put on a balance, not touched nor dug for nor sprayed. */
const UNFED: readonly HoldKind[] = [
  'winterRest',
  'premolt',
  'sealedIn',
  'soft',
  'fasting',
  'vetOrder',
  'leaveBe',
  'founding',
  'incubating',
  'inBlue',
]
const UNWEIGHED: readonly HoldKind[] = [
  'premolt',
  'sealedIn',
  'soft',
  'inBlue',
  'settling',
  'gravid',
  'digesting',
  'founding',
  'incubating',
  'leaveBe',
]
const UNTOUCHED: readonly HoldKind[] = ['premolt', 'sealedIn', 'soft', 'founding', 'incubating', 'leaveBe']

const FEEDS =
  /\b(feed|offer|give|given|food left|small prey|smaller meals|smaller prey|shorter interval|little more)\b/
const WEIGHS = /\bweigh\b|\bon the balance\b/
const TOUCHES = /\b(handle|hold it|bath|dig|dug|spray\w*|mist|pull|open(?:ed)?|by handfuls)\b/
/** What is said so is forbidden, put off, or only for one that is free of the hold. */
const WARNS =
  /\b(no|not|never|nothing|none|without|until|once|after|before|when|where no|in the meantime|least)\b/
function advises(says: string, forbidden: RegExp): boolean {
  return says
    .toLowerCase()
    .split(/[.;:]/)
    .some((clause) => forbidden.test(clause) && !WARNS.test(clause))
}

interface Asked {
  what: VerdictWhat
  severity: Severity
  group: SheetGroup
  young: boolean
  hold: HoldKind | null
}

function said({ what, severity, group, young, hold }: Asked): string | null {
  const verdict: Verdict = { what, severity, because: [] }
  const plan = {
    group,
    lives: 'individual' as const,
    targets: [],
    ...(young && { next: { stage: 'adult', name: 'Adult', until: {} } }),
  }
  const next = adviceOn(verdict, [verdict], { plan, holds: hold ? [{ hold }] : [] })
  return next && sayNext(next)
}

/** Only said of one that rests. */
function isOfRest({ code }: VerdictWhat): boolean {
  return code === 'restUnfit' || code === 'wake'
}

function* everything(): Generator<Asked> {
  for (const what of WHATS)
    for (const group of SheetGroup.options)
      for (const young of YES_AND_NO)
        for (const hold of isOfRest(what) ? (['winterRest'] as const) : [null, ...HoldKind.options])
          for (const severity of ['watch', 'act'] as const) yield { what, severity, group, young, hold }
}

function nameOf({ what, group, young, hold, severity }: Asked): string {
  const { code, ...rest } = what
  return `${severity} ${code} ${JSON.stringify(rest)}, ${young ? 'young' : 'grown'} ${group}, ${hold ?? 'free'}`
}

describe('what to do next', () => {
  it('stands for each verdict, group, stage, hold and severity', () => {
    for (const asked of everything()) if (!said(asked)) throw new Error(nameOf(asked))
    expect(new Set(WHATS.map(({ code }) => code))).toEqual(new Set(ADVICE.map(({ of }) => of)))
  })

  it.each([
    ['fed', UNFED, FEEDS],
    ['weighed', UNWEIGHED, WEIGHS],
    ['touched', UNTOUCHED, TOUCHES],
  ] as const)('never has one %s that is held', (_, holds, forbidden) => {
    const wrong = new Set<string>()
    for (const asked of everything()) {
      const says = said(asked) ?? ''
      // Of a hold that is over that is asked, and a founding queen is looked at once.
      if (asked.what.code === 'holdOverdue') continue
      // What harms at once goes before every peace.
      if (asked.what.code === 'reading' && asked.what.harms) continue
      if (asked.hold && holds.includes(asked.hold) && advises(says, forbidden))
        wrong.add(`${asked.hold} ${asked.what.code}: ${says}`)
    }
    expect([...wrong]).toEqual([])
  })

  it('never heats or cools anybody at once, nor has a heater put to those that die of heat', () => {
    for (const asked of everything()) {
      if (asked.what.code !== 'reading' || asked.what.what !== 'celsius' || !asked.what.harms) continue
      const says = said(asked) ?? ''
      expect(says, nameOf(asked)).toMatch(
        /slowly|no more than 2 °C|let it warm|never into cold|not cooled with ice|cool room/,
      )
      if (['frog', 'salamander'].includes(asked.group) && !asked.what.inWater)
        expect(says, nameOf(asked)).not.toMatch(/(?<!no |without a )heater/)
    }
  })

  it('wakes one that rests by the steps of its sheet, unfed, and never tempts it', () => {
    const verdict: Verdict = {
      what: { code: 'losing', ...NO_LOSS, explainedBy: 'winterRest' },
      severity: 'act',
      because: [],
    }
    const rest = {
      fastDays: 20,
      settledDays: 60,
      weighedWithin: 10,
      stopAtUrine: false,
      wake: ['Up by two degrees'],
    }
    const next = adviceOn(verdict, [], {
      plan: { group: 'tortoise', targets: [], rest },
      holds: [{ hold: 'winterRest' }],
    })
    expect(next && sayNext(next)).toBe(
      'Wake it by the steps of its sheet; no food before it is warm; call the vet. 1. Up by two degrees.',
    )
  })

  it('raises the humidity only where it was read too low', () => {
    const overdue: Verdict = {
      what: WHATS.find(({ code }) => code === 'ecdysisOverdue') as VerdictWhat,
      severity: 'watch',
      because: [],
    }
    const dry: Verdict = {
      what: { ...reading, what: 'humidity', high: false, harms: false, inWater: false },
      severity: 'watch',
      because: [],
    }
    const known = { plan: { group: 'snake' as const, targets: [] }, holds: [] }
    const says = (all: Verdict[]) => {
      const next = adviceOn(overdue, all, known)
      return next ? sayNext(next) : ''
    }
    expect(says([overdue])).not.toMatch(/humid/)
    expect(says([overdue, dry])).toMatch(/raise the humidity/)
  })

  it('never parts those that are too few already', () => {
    const says = (by: 'floor' | 'start') => {
      const what = WHATS.find((one) => one.code === 'crowded' && one.by === by)
      return what && said({ what, group: 'isopod', young: false, hold: null, severity: 'watch' })
    }
    expect(says('floor')).toMatch(/part them/)
    expect(says('start')).toMatch(/smaller box/)
    expect(says('start')).not.toMatch(/part them|larger/)
  })

  it('is printed for reading', async () => {
    const rows = ADVICE.map(({ of, when = {}, next, source }) => {
      const cases = Object.entries(when).map(
        ([field, value]) => `${field}: ${Array.isArray(value) ? value.join(', ') : String(value)}`,
      )
      return `| ${of} | ${cases.join('; ') || 'otherwise'} | ${en.next[next]} | ${source} |`
    })
    const head = [
      '# What verdicts say to do next',
      '',
      'The first line of a verdict that fits counts. Written from the table that the product goes by (`core/src/judging/advice`);',
      'do not edit it here. Steps of a sheet and what a sheet says to do first stand in the sheets.',
      '',
      '| Verdict | Case | What to do next | Source |',
      '| --- | --- | --- | --- |',
    ]
    await expect([...head, ...rows, ''].join('\n')).toMatchFileSnapshot('../../../docs/advice.md')
  })
})
