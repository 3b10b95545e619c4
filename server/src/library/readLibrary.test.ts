import {
  doubtAbout,
  emptyBuild,
  emptyState,
  fit,
  isBefore,
  isPlan,
  isStopped,
  resolvePlan,
  sheetFaults,
  sheetQuestions,
  walk,
} from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { KobrinFault } from '../errors/fault.ts'
import { readLibrary, readSheet } from './readLibrary.ts'
import { readSheetText, writeSheetText } from './sheetText.ts'

const sheets = readLibrary()

function faultOf(yaml: string): string {
  try {
    readSheet(yaml, 'gecko.yaml')
  } catch (error) {
    if (error instanceof KobrinFault) return error.message
  }
  throw new Error('It was read.')
}

const GOOD = `id: gecko
common: Gecko
latin: Gekko gekko
group: lizard
lives: individual
stages:
  - id: adult
    name: Adult
    duties:
      - { id: water, does: water, cadence: { type: every, days: 1 } }
sources: [common husbandry practice]
`

describe('reading a sheet', () => {
  it('fills in what is usual', () => {
    expect(readSheet(GOOD, 'gecko.yaml').stages[0]?.duties[0]).toMatchObject({ people: 1, minutes: 1 })
  })

  it.each([
    ['days: 1 }', 'days: -1 }', 'line 10', 'stages.0.duties.0.cadence.days'],
    ['group: lizard', 'group: dragon', 'line 4', 'group'],
    ['does: water', 'does: juggle', 'line 10', 'does'],
    ['lives: individual', 'lives: [', 'line', 'gecko.yaml'],
    ['sources: [common husbandry practice]', 'sources: []', 'line 11', 'sources'],
  ])('names file, line and field when "%s" becomes "%s"', (from, to, line, field) => {
    const message = faultOf(GOOD.replace(from, to))
    expect(message).toContain('gecko.yaml')
    expect(message).toContain(line)
    expect(message).toContain(field)
  })
})

/** What of the climate of a room does not suit the grown ones of a sheet whose enclosure has no heater. */
function unsuited(id: string, roomCelsius: [number, number]): string[] {
  const sheet = sheets.find((one) => one.id === id)
  const plan = sheet && resolvePlan(sheet, { stage: sheet.stages.at(-1)?.id ?? '', day: 20_000 })
  if (!plan || !isPlan(plan)) throw new Error(`No plan for ${id}.`)
  const { targets, coolLoving } = plan
  const box = { widthMm: 9999, depthMm: 9999, heightMm: 9999 }
  const tenant = { sizes: {}, count: 1 }
  return fit({ box, build: emptyBuild(), tenant, targets, coolLoving, roomCelsius, day: 20_000 }).map(
    ({ code }) => code,
  )
}

describe('the climate of the shipped sheets', () => {
  it.each([
    ['fire-salamander', [8, 16], []],
    ['axolotl', [12, 18], []],
    ['fire-bellied-toad', [15, 22], []],
    ['chile-rose', [18, 24], []],
    ['zebra-isopod', [16, 23], []],
    ['fire-salamander', [1, 16], ['roomTooCold']],
    ['hermanns-tortoise', [18, 41], ['roomTooWarm']],
    ['blue-tongued-skink', [20, 44], ['roomTooWarm']],
    ['bearded-dragon', [20, 45], ['roomTooWarm']],
    ['royal-python', [18, 26], ['noHeat']],
    ['leafcutter-ant', [19, 26], ['coolRoom']],
    ['harvester-ant', [22, 26], []],
  ] as const)('%s in a room of %j °C: %j', (id, room, expected) => {
    expect(unsuited(id, [...room])).toEqual(expected)
  })

  it('a winter rest has a climate of its own, with a limit on either side', () => {
    const rests = sheets.flatMap(({ id, schools }) =>
      schools.flatMap(({ options }) =>
        options.flatMap(({ targets }) =>
          targets.filter(({ zone }) => zone === 'winter rest').map((zone) => ({ id, ...zone })),
        ),
      ),
    )
    expect(rests.length).toBeGreaterThan(5)
    for (const { during, celsius, ceilingCelsius, neverBelowCelsius, id } of rests)
      expect([id, during, typeof celsius, typeof ceilingCelsius, typeof neverBelowCelsius]).toEqual([
        id,
        'winterRest',
        'object',
        'number',
        'number',
      ])
  })
})

describe('a winter rest in the shipped sheets', () => {
  const choices = sheets.flatMap((sheet) => {
    const school = sheet.schools.find(({ id }) => id === 'winter')
    return school ? sheet.stages.map(({ id: stage }) => ({ sheet, stage, id: `${sheet.id} ${stage}` })) : []
  })

  it.each(choices)(
    '$id: no bath, nothing to eat, and weighed every week where it is weighed',
    ({ sheet, stage }) => {
      const plan = resolvePlan(sheet, { stage, schools: { winter: 'rest' }, day: 20_000 })
      if (!isPlan(plan)) throw new Error('No plan.')
      const rest = plan.holds.find(({ hold }) => hold === 'winterRest')
      const young = stage !== sheet.stages.at(-1)?.id
      const rests = plan.targets.some(({ during }) => during === 'winterRest')
      expect(rests).toBe(!young || sheet.group === 'ant')
      for (const duty of plan.duties) {
        if (duty.does === 'feed' || (duty.does === 'water' && /soak|bath/i.test(duty.label ?? '')))
          expect([duty.id, rest && isStopped(duty, rest)]).toEqual([duty.id, true])
        if (rests && duty.does === 'weigh')
          expect([duty.id, duty.cadenceDuring?.winterRest]).toMatchObject([
            duty.id,
            { type: 'every', days: 7 },
          ])
      }
    },
  )
})

describe('a first weight or length', () => {
  const doubtOf = (id: string, kind: 'weighed' | 'measured', value: number) => {
    const sheet = sheets.find((one) => one.id === id)
    const plan = sheet && resolvePlan(sheet, { stage: sheet.stages.at(-1)?.id ?? '', day: 20_000 })
    if (!plan || !isPlan(plan)) throw new Error(`No plan for ${id}.`)
    const draft =
      kind === 'weighed'
        ? ({ subject: 'x', kind, payload: { grams: value } } as const)
        : ({ subject: 'x', kind, payload: { part: 'length', mm: value } } as const)
    return doubtAbout(draft, { day: 20_000, state: emptyState('resident'), plan })?.code ?? null
  }

  it.each([
    ['orchid-mantis', 'weighed', 999, 'implausible'],
    ['orchid-mantis', 'measured', 6000, 'implausible'],
    ['royal-python', 'weighed', 162_000, 'implausible'],
    ['royal-python', 'weighed', 1620, null],
    ['royal-python', 'weighed', 16.2, 'implausible'],
    ['leopard-gecko', 'weighed', 62, null],
    ['jungle-nymph', 'measured', 1500, 'implausible'],
    ['jungle-nymph', 'measured', 150, null],
  ] as const)('of %s, %s %d: %s', (id, kind, value, code) => {
    expect(doubtOf(id, kind, value)).toBe(code)
  })

  it('has bounds at every stage of every sheet, and the adult lies within them', () => {
    for (const { id, adult, stages } of sheets) {
      for (const { plausible } of stages) expect([id, plausible?.mm]).toEqual([id, expect.anything()])
      const last = stages.at(-1)?.plausible
      for (const [told, bound] of [
        [adult?.mm, adult?.part && last?.mm?.[adult.part]],
        [adult?.grams, last?.grams],
      ] as const)
        if (told && bound) expect([id, bound[0] < told[0], told[1] < bound[1]]).toEqual([id, true, true])
    }
  })
})

describe('the shipped library', () => {
  it('covers at least 12 species in at least 8 groups, and the dozen that a walk must show', () => {
    expect(sheets.length).toBeGreaterThanOrEqual(12)
    expect(new Set(sheets.map(({ group }) => group)).size).toBeGreaterThanOrEqual(8)
    const groups = sheets.map(({ group }) => group)
    for (const group of [
      'snake',
      'lizard',
      'tortoise',
      'frog',
      'tarantula',
      'millipede',
      'isopod',
      'ant',
      'stickInsect',
      'butterfly',
      'snail',
      'feeder',
    ] as const) {
      expect(groups).toContain(group)
    }
  })

  it('covers at least 48 species', () => {
    expect(sheets.length).toBeGreaterThanOrEqual(48)
  })

  const stages = sheets.flatMap((sheet) => sheet.stages.map((stage) => [sheet.id, stage.id, sheet] as const))
  const place = { room: 'a', roomOrder: 1, bay: 'b', bayOrder: 1, row: 0, column: 0, barrier: 1 as const }

  it.each(stages)('%s, %s: yields a plan whose every line has a source, and a walk', (_, stage, sheet) => {
    const plan = resolvePlan(sheet, { stage, day: 20_000 })
    if (!isPlan(plan)) throw new Error(JSON.stringify(plan))
    for (const line of [...plan.duties, ...plan.holds, ...plan.targets]) expect(line.source).toBeDefined()
    for (const field of [...Object.keys(plan.housing ?? {}), ...Object.keys(plan.light ?? {})])
      expect(plan.sources?.[field]).toBeDefined()
    const { stops } = walk({
      day: 20_000,
      residents: [{ id: 'one', plan, state: emptyState('resident'), place }],
    })
    const tasks = stops.flatMap(({ visits }) => visits.flatMap((visit) => visit.tasks))
    const resting = plan.targets.filter(({ during }) => during !== undefined).map(({ zone }) => zone)
    const asked = plan.duties
      .filter((duty) => !isBefore(duty) && !(duty.reads && resting.includes(duty.reads.zone)))
      .map(({ id }) => id)
    expect(tasks.map(({ duty }) => duty.id).sort()).toEqual(asked.sort())
    expect(tasks.every(({ because }) => because.length > 0)).toBe(true)
  })

  const options = sheets.flatMap((sheet) =>
    sheet.schools.flatMap((school) =>
      school.options.map((option) => [sheet.id, school.id, option.id, sheet] as const),
    ),
  )

  it.each(options)('%s, school %s: %s can be chosen in every stage', (_, school, option, sheet) => {
    for (const { id: stage } of sheet.stages) {
      const plan = resolvePlan(sheet, { stage, schools: { [school]: option }, day: 20_000 })
      expect(isPlan(plan)).toBe(true)
    }
  })

  it.each(sheets.map((sheet) => [sheet.id, sheet] as const))(
    '%s stands, and looks like no slip of a unit',
    (_, sheet) => {
      expect(sheetFaults(sheet)).toEqual([])
      expect(sheetQuestions(sheet)).toEqual([])
    },
  )

  it.each(sheets.map((sheet) => [sheet.id, sheet] as const))(
    '%s says what a keeper asks first',
    (_, sheet) => {
      expect(sheet.targets.some(({ ceilingCelsius }) => ceilingCelsius !== undefined)).toBe(true)
      for (const part of [
        sheet.adult,
        sheet.housing,
        sheet.breeding,
        sheet.growth,
        sheet.together,
        sheet.setup,
      ])
        expect(part).toBeDefined()
      expect(sheet.signs.length).toBeGreaterThanOrEqual(2)
      expect(sheet.never.length).toBeGreaterThanOrEqual(1)
      for (const school of sheet.schools) expect(school.why).toBeTruthy()
    },
  )

  it.each(sheets.map((sheet) => [sheet.id, sheet] as const))(
    '%s reads back from its own YAML',
    (_, sheet) => {
      expect(readSheetText(writeSheetText(sheet))).toEqual({ sheet })
    },
  )
})
