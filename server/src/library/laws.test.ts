import type { Plan, Sheet } from '@kobrin/core'
import {
  effectsOf,
  emptyBuild,
  everyPlan,
  fit,
  isPlan,
  isStopped,
  pointsOf,
  resolvePlan,
  wantedBy,
} from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { readLibrary } from './readLibrary.ts'

const sheets = readLibrary()
/** 2026-01-15 and 2026-07-15: in winter and in summer. */
const DAYS = [20_468, 20_649]
const named = sheets.map((sheet) => [sheet.id, sheet] as const)

/** Every plan of a sheet: each stage under each choice of schools, in winter and in summer. */
function plansOf(sheet: Sheet): Plan[] {
  return DAYS.flatMap((day) => everyPlan(sheet, day))
}

const INSECTS = /cricket|roach|locust|\bflies\b|moth|(?<!black)worm|springtail/i
/** What gnaws at an animal that sleeps or sheds, and who is fed it alive. */
const GNAWING = /cricket|roach|locust|mealworm|superworm/i
const HUNTERS: readonly Sheet['group'][] = [
  ...(['lizard', 'frog', 'salamander', 'tarantula', 'spider'] as const),
  ...(['scorpion', 'whipSpider', 'vinegaroon', 'centipede', 'mantid'] as const),
]
/** What a meal of insects is dusted with, so that bones and shells get their lime. */
const LIME = /calcium|cuttlebone|shell/i
const BACKBONED = ['lizard', 'frog', 'salamander', 'turtle', 'tortoise']

describe('of every sheet, stage and school', () => {
  it.each(named)('%s: what has limits is asked to be read', (_, sheet) => {
    for (const plan of plansOf(sheet)) {
      const holds = plan.rest ? (['winterRest'] as const) : []
      const read = plan.duties.flatMap(({ reads }) => (reads ? [`${reads.what} ${reads.zone}`] : []))
      for (const { zone, what } of [...pointsOf(plan), ...pointsOf(plan, [...holds])]) {
        // Of water what poisons soonest is tested; the rest may be.
        if (zone === 'water' && plan.water === undefined && what !== 'celsius') continue
        if (
          zone === 'water' &&
          what !== 'celsius' &&
          plan.water?.[what as keyof typeof plan.water] === undefined
        )
          continue
        expect(read, `${plan.stage} ${what} ${zone}`).toContain(`${what} ${zone}`)
      }
    }
  })

  it.each(named)(
    '%s: a fast of the season is for the grown, and a winter one for those that rest',
    (_, sheet) => {
      const last = sheet.stages.at(-1)?.id
      const rests = sheet.schools.some(({ options }) => options.some(({ rest }) => rest))
      for (const { stages = [last], season, sex, withRest } of sheet.fasts ?? []) {
        expect(stages).toEqual([last])
        if (rests && sex === undefined && season.from > season.until) expect(withRest).toBe(true)
      }
    },
  )

  it.each(named)('%s: each meal of insects has lime, or the sheet says why not', (_, sheet) => {
    if (sheet.undusted !== undefined || !BACKBONED.includes(sheet.group)) return
    for (const { stage, duties } of plansOf(sheet))
      for (const { id, does, foods = [], supplements = [] } of duties)
        if (does === 'feed' && foods.some(({ item }) => INSECTS.test(item)))
          expect(
            supplements.some(({ name }) => LIME.test(name)),
            `${stage} ${id}`,
          ).toBe(true)
  })

  it.each(named)('%s: live prey that gnaws comes out again, and leaves stay', (_, sheet) => {
    for (const { stage, duties } of plansOf(sheet))
      for (const { item, bites = false, outAfterHours } of duties.flatMap(({ foods = [] }) => foods)) {
        const gnaws = HUNTERS.includes(sheet.group) && GNAWING.test(item)
        expect({ stage, item, bites }).toEqual({ stage, item, bites: gnaws })
        if (gnaws) expect(outAfterHours).toBeLessThanOrEqual(12)
        if (/lea(f|ves)|greens|weeds|sprays/.test(item)) expect(outAfterHours, item).toBeUndefined()
      }
  })

  it.each(named.filter(([, { lives }]) => lives === 'colony'))(
    '%s: says how many a box bears',
    (_, sheet) => {
      for (const { stage, housing } of plansOf(sheet)) {
        const numbers = housing?.numbers
        if (!numbers) throw new Error(`${stage} says nothing of it.`)
        for (const [well, crowded] of [numbers.perLitre, numbers.per100Cm2])
          expect(well).toBeLessThan(crowded)
      }
    },
  )

  it.each(named)('%s: its floor leaves room above it', (_, sheet) => {
    for (const { stage, housing } of plansOf(sheet)) {
      const deepest = housing?.floorDepthMm?.[1] ?? 0
      if (housing?.heightMm !== undefined)
        expect(deepest, `${stage}: of ${housing.heightMm} mm`).toBeLessThanOrEqual(housing.heightMm * 0.85)
      const lowest = Math.min(
        ...sheet.stages.map((one) => one.housing?.heightMm ?? Infinity),
        housing?.heightMm ?? Infinity,
      )
      expect(lowest).toBeGreaterThan(0)
    }
    const made = sheet.floor?.depthMm?.[1]
    const highest = Math.max(
      sheet.housing?.heightMm ?? 0,
      ...sheet.stages.map((one) => one.housing?.heightMm ?? 0),
    )
    if (made !== undefined && highest > 0) expect(made).toBeLessThanOrEqual(highest * 0.75)
  })

  it.each(named)('%s: under a hold nothing is asked for that the hold keeps from it', (_, sheet) => {
    for (const plan of plansOf(sheet))
      for (const { hold, suppresses } of plan.holds)
        for (const duty of plan.duties.filter((one) => !isStopped(one, { hold, suppresses }))) {
          if (duty.despite?.includes(hold)) continue
          if (['sealedIn', 'soft', 'winterRest'].includes(hold))
            expect(effectsOf(duty), `${plan.stage} ${hold} ${duty.id}`).not.toContain('feeding')
        }
  })

  it.each(named)('%s: a newcomer is kept apart for a reason', (_, { quarantineDays, quarantine }) => {
    if (quarantineDays !== undefined) expect(quarantine?.why).toBeTruthy()
    expect(quarantine?.tests.length).toBeGreaterThan(0)
  })

  it.each(named)('%s: names a work on such animals', (_, { sources }) => {
    expect(sources.some((source) => /\d{4}/.test(source))).toBe(true)
  })
})

function grown(id: string): Plan {
  const sheet = sheets.find((one) => one.id === id)
  const plan = sheet && resolvePlan(sheet, { stage: sheet.stages.at(-1)?.id ?? '', day: DAYS[1] ?? 0 })
  if (!plan || !isPlan(plan)) throw new Error(`No plan for ${id}.`)
  return plan
}

describe('how many fit', () => {
  const mm = (widthMm: number, depthMm: number, heightMm: number) => ({ widthMm, depthMm, heightMm })

  it.each([
    ['zebra-isopod', 870, mm(400, 200, 150), 'act'],
    ['zebra-isopod', 100, mm(400, 200, 150), null],
    ['giant-millipede', 9, mm(600, 400, 350), 'act'],
    ['giant-millipede', 4, mm(600, 400, 350), null],
    ['land-snail', 4, mm(450, 300, 300), 'act'],
    ['fire-bellied-toad', 6, mm(600, 300, 300), 'act'],
    ['fire-bellied-toad', 3, mm(600, 300, 300), null],
    ['owl-butterfly', 500, mm(2000, 1500, 2000), 'act'],
    ['dart-frog', 2, mm(600, 450, 450), null],
  ] as const)('%s: %i in %j', (id, count, box, expected) => {
    const plan = grown(id)
    const { housing, ...wanted } = wantedBy(plan)
    const many = fit({
      box,
      build: emptyBuild(),
      tenant: { sizes: {}, count },
      ...wanted,
      housing,
      day: 20_000,
    })
    expect(many.find(({ code }) => code === 'tooMany')?.severity ?? null).toBe(expected)
  })

  it('is to act on only where even the fewest they may be are too many', () => {
    const plan = grown('zebra-isopod')
    const of = (range: [number, number]) =>
      fit({
        box: mm(400, 200, 150),
        build: emptyBuild(),
        tenant: { sizes: {}, count: Math.round((range[0] + range[1]) / 2), range },
        housing: plan.housing,
        day: 20_000,
      }).find(({ code }) => code === 'tooMany')?.severity
    expect(of([300, 500])).toBe('act')
    expect(of([150, 400])).toBe('watch')
    expect(of([100, 200])).toBeUndefined()
  })
})

describe('what was found to harm', () => {
  it.each(['hermanns-tortoise', 'horsfields-tortoise'])(
    '%s: hatchlings bask at 31 to 35, never above 39',
    (id) => {
      const sheet = sheets.find((one) => one.id === id)
      const plan = sheet && resolvePlan(sheet, { stage: 'hatchling', day: DAYS[1] ?? 0 })
      if (!plan || !isPlan(plan)) throw new Error('No plan.')
      expect(plan.targets.find(({ zone }) => zone === 'basking')).toMatchObject({
        celsius: [31, 35],
        ceilingCelsius: 39,
      })
    },
  )

  it('no mix that brings vitamin D3 is dusted with it besides, where there is ultraviolet', () => {
    for (const sheet of sheets)
      for (const plan of plansOf(sheet)) {
        const isMix = plan.duties.some(({ foods = [] }) => foods.some(({ carriesD3 }) => carriesD3))
        if (!isMix || plan.light?.uvb === undefined) continue
        for (const { supplements = [] } of plan.duties)
          expect(
            supplements.every(({ name }) => !/D3/.test(name)),
            `${sheet.id} ${plan.stage}`,
          ).toBe(true)
      }
  })
})
