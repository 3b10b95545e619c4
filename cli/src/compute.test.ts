import type { Computation } from '@kobrin/core'
import { computationsOver } from '@kobrin/core'
import { readLibrary } from '@kobrin/server/library'
import { describe, expect, it } from 'vitest'
import { answer, answerLine, BadInput } from './compute.ts'

const computations = computationsOver(new Map(readLibrary().map((sheet) => [sheet.id, sheet])))

function named(name: string): Computation {
  const found = computations.find((computation) => computation.name === name)
  if (!found) throw new Error(`No computation ${name}.`)
  return found
}

const walkComputation = named('walk')
const place = { room: 'Tar Room', roomOrder: 1, bay: 'Bay 1', bayOrder: 1, row: 0, column: 0, barrier: 1 }
const plan = {
  sheet: 'gecko',
  stage: 'adult',
  duties: [
    {
      id: 'water',
      does: 'water',
      cadence: { type: 'every', days: 1 },
      people: 1,
      minutes: 1,
      source: { from: 'sheet', sheet: 'gecko', stage: 'adult' },
    },
  ],
  holds: [],
  weighing: { r: 0.03, q: 1e-7 },
}
const input = { day: 20_500, residents: [{ id: 'tamsin', plan, entries: [], place }] }

describe('answering', () => {
  it('answers JSON with JSON that its own schema accepts', () => {
    const told: unknown = JSON.parse(answer(walkComputation, JSON.stringify(input)))
    expect(walkComputation.output.safeParse(told).error).toBeUndefined()
    expect(told).toMatchObject({
      stops: [{ room: 'Tar Room', tasks: [{ resident: 'tamsin', duty: 'water', status: 'due' }] }],
    })
  })

  it.each([
    ['{', /not JSON/],
    [JSON.stringify({ ...input, day: 'Tuesday' }), /^day: /],
    [
      JSON.stringify({ ...input, residents: [{ ...input.residents[0], place: {} }] }),
      /^residents\.0\.place\./,
    ],
    [JSON.stringify({ ...input, moon: 'full' }), /moon/],
  ])('names what is wrong in %s', (text, message) => {
    expect(() => answer(walkComputation, text)).toThrow(BadInput)
    expect(() => answer(walkComputation, text)).toThrow(message)
  })

  it('turns what is wrong with a line into that line’s answer', () => {
    expect(JSON.parse(answerLine(walkComputation, '{'))).toMatchObject({
      error: expect.stringMatching(/JSON/) as string,
    })
  })

  it('knows every computation by a name of its own', () => {
    const names = computations.map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    expect(names).toContain('walk')
  })
})

const size = { widthMm: 600, depthMm: 400, heightMm: 400 }
const sheet = {
  id: 'gecko',
  common: 'Gecko',
  latin: 'Gekko gekko',
  group: 'lizard',
  lives: 'individual',
  stages: [{ id: 'adult', name: 'Adult', duties: plan.duties.map(({ source: _, ...duty }) => duty) }],
  targets: [{ zone: 'warm', celsius: [28, 31], ceilingCelsius: 35 }],
  sources: ['common husbandry practice'],
}
const ASKED: Record<string, [asked: object, told: object]> = {
  plan: [
    { sheet, stage: 'adult', day: 20_500 },
    { stage: 'adult', targets: [{ zone: 'warm' }] },
  ],
  fit: [
    { box: size, housing: { lengthMm: 900, lock: true }, day: 20_500 },
    { fits: false, findings: [{ code: 'short', needs: 900, has: 600 }, { code: 'noLock' }] },
  ],
  mix: [
    { lengthMm: 1000, widthMm: 500, depthMm: 100, parts: [{ material: 'sand', parts: 1 }], shelfLimitKg: 60 },
    { finishedLitres: 50, dryKg: 75, shelf: { holds: false } },
  ],
  'prey-size': [
    {
      amount: { by: 'massShare', share: [0.05, 0.07] },
      sizes: [
        { size: 'small', grams: 80 },
        { size: 'medium', grams: 140 },
      ],
      grams: 1500,
    },
    { size: 'small', grams: [75, expect.closeTo(105)] },
  ],
  'day-length': [
    { startDay: 100, summerHours: 14, winterHours: 8, stepHours: 2, everyDays: 7, restDays: 60, ask: [100] },
    { warmFrom: 174, on: [{ day: 100, hours: 12, onMinute: 420, offMinute: 1140 }] },
  ],
  dilution: [
    { by: 'percent', stockPercent: 10, targetPercent: 1, totalMl: 1000 },
    { stockMl: 100, waterMl: 900 },
  ],
}

const LATER: Record<string, [asked: object, told: object]> = {
  'growth-fit': [
    {
      model: 'best',
      points: [
        [9, 8.93],
        [14, 10.8],
        [21, 18.59],
        [28, 22.33],
        [42, 39.35],
        [57, 56.11],
        [63, 61.73],
        [70, 64.62],
        [79, 67.08],
      ].map(([day, value]) => ({ day, value })),
      target: 60,
      ask: [100],
    },
    { model: 'logistic', reached: { day: expect.closeTo(62.3, 0) as number } },
  ],
  'weight-trend': [
    { readings: [3, 1, 2].map((day) => ({ day, grams: 100 })), r: 0.03, q: 1e-7 },
    { level: expect.closeTo(Math.log(100)) as number, slope: expect.closeTo(0) as number },
  ],
  'renewal-forecast': [
    {
      intervals: [40, 44, 38],
      elapsed: 30,
      prior: { mu0: 3.7, kappa0: 1, alpha0: 2.5, beta0: 0.06 },
      horizon: 7,
    },
    { medianDays: expect.closeTo(41, 0) as number },
  ],
  'still-weight': [
    { readings: Array.from({ length: 40 }, (_, at) => ({ ms: at * 100, grams: 42 })), graduation: 0.1 },
    { weight: { grams: 42 }, notYet: null },
  ],
  verdicts: [
    {
      sheet: 'royal-python',
      stage: 'adult',
      entries: [
        {
          uid: '01900000-0000-7000-8000-000000000001',
          subject: '01900000-0000-7000-8000-000000000002',
          author: '01900000-0000-7000-8000-000000000003',
          occurredAt: '2026-03-01T08:00:00.000Z',
          day: 20_513,
          kind: 'weighed',
          payload: { grams: 15 },
        },
      ],
      days: [20_512, 20_513],
    },
    {
      on: [
        { day: 20_512, verdicts: [] },
        { day: 20_513, verdicts: [{ code: 'suspectWeight', severity: 'watch', level: null }] },
      ],
    },
  ],
}

describe.each([...Object.entries(ASKED), ...Object.entries(LATER)])('compute %s', (name, [asked, told]) => {
  it('answers as its own schema says', () => {
    const answered: unknown = JSON.parse(answer(named(name), JSON.stringify(asked)))
    expect(named(name).output.safeParse(answered).error).toBeUndefined()
    expect(answered).toMatchObject(told)
  })

  it('names the field that cannot be read', () => {
    expect(() => answer(named(name), '{}')).toThrow(BadInput)
  })
})

describe('what can be read and not answered is refused with its reason', () => {
  it.each([
    ['plan', { sheet, stage: 'egg', day: 1 }, { code: 'unknown_stage', stage: 'egg' }],
    [
      'plan',
      {
        sheet: { ...sheet, targets: [{ zone: 'warm', celsius: [28, 36], ceilingCelsius: 35 }] },
        stage: 'adult',
        day: 1,
      },
      { code: 'sheetFault', fault: 'ceilingTooLow' },
    ],
    [
      'mix',
      { lengthMm: 1, widthMm: 1, depthMm: 1, parts: [{ material: 'lava', parts: 1 }] },
      { code: 'materialUnknown', material: 'lava' },
    ],
    [
      'prey-size',
      { amount: { by: 'massShare', share: [0.1, 0.1] }, sizes: [{ size: 'S', grams: 1 }] },
      { code: 'unweighed' },
    ],
    [
      'day-length',
      { startDay: 1, summerHours: 8, winterHours: 14, stepHours: 1, everyDays: 7 },
      { code: 'winterNotShorter' },
    ],
    ['growth-fit', { model: 'best', points: [] }, { code: 'tooFewPoints' }],
    [
      'renewal-forecast',
      { intervals: [], elapsed: 0, prior: { mu0: 1, kappa0: 0, alpha0: 1, beta0: 1 }, horizon: 0 },
      { code: 'noDistribution' },
    ],
    ['verdicts', { sheet: 'unicorn', stage: 'adult', entries: [], days: [] }, { code: 'unknown_sheet' }],
    [
      'dilution',
      { by: 'percent', stockPercent: 1, targetPercent: 5, totalMl: 10 },
      { code: 'noSuchDilution' },
    ],
  ])('%s %#', (name, asked, reason) => {
    const told = JSON.parse(answer(named(name), JSON.stringify(asked))) as {
      refused: boolean
      reason: object
    }
    expect(told.refused).toBe(true)
    expect(told.reason).toMatchObject(reason)
  })
})
