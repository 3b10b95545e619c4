import { describe, expect, it } from 'vitest'
import { Sheet } from '../sheet/sheet.ts'
import { sheetFaults } from '../sheet/faults.ts'
import { dayFromIso } from '../../basics/time/day.ts'
import type { Override } from './override.ts'
import type { PlanChoices } from './resolvePlan.ts'
import { isPlan, resolvePlan } from './resolvePlan.ts'

const TUBE = { share: [0.3, 0.6], distanceMm: [250, 400] } as const
const seldom = { id: 'seldom', name: 'Seldom', reason: 'Stored in the body.', needs: { ultraviolet: true } }
const often = { id: 'often', name: 'Often', reason: 'Nothing else gives it.', needs: { ultraviolet: false } }
const supplements = (everyDays: number) => [{ id: 'feed', supplements: [{ name: 'D3', everyDays }] }]

const written = {
  id: 'testling',
  common: 'Testling',
  latin: 'Testudo testis',
  group: 'lizard',
  lives: 'individual',
  stages: [
    { id: 'young', name: 'Young', until: { ageDays: 300 }, duties: [feed()] },
    { id: 'adult', name: 'Adult', duties: [feed()] },
  ],
  schools: [
    {
      id: 'd3',
      question: 'D3?',
      default: 'seldom',
      options: [
        { ...seldom, duties: supplements(14) },
        { ...often, duties: supplements(2) },
      ],
    },
    {
      id: 'tube',
      question: 'A tube?',
      default: 'yes',
      options: [
        { id: 'yes', name: 'Yes', reason: 'So.', light: { uvb: TUBE } },
        { id: 'no', name: 'No', reason: 'So.' },
      ],
    },
    {
      id: 'rain',
      question: 'Rain?',
      default: 'none',
      options: [
        { id: 'none', name: 'None', reason: 'So.' },
        {
          id: 'wet',
          name: 'Wet',
          reason: 'So.',
          season: { from: '05-15', until: '06-04' },
          duties: [
            { id: 'rain', does: 'dampen', cadence: { type: 'every', days: 1 }, litres: 2 },
            { id: 'rain', litres: 0.2, stages: ['young'] },
          ],
        },
      ],
    },
  ],
  sources: ['common husbandry practice'],
}

function feed() {
  return { id: 'feed', does: 'feed', cadence: { type: 'every', days: 1 } }
}

function dutyOf(id: string, choices: Partial<PlanChoices>) {
  const plan = resolvePlan(Sheet.parse(written), { stage: 'adult', day: 100, ...choices })
  if (!isPlan(plan)) throw new Error(JSON.stringify(plan))
  return plan.duties.find((duty) => duty.id === id)
}

const d3Every = (choices: Partial<PlanChoices>) => dutyOf('feed', choices)?.supplements?.[0]?.everyDays

describe('an option that needs ultraviolet, or none', () => {
  it('stands where that is so, whatever order the questions stand in', () => {
    expect(d3Every({})).toBe(14)
    expect(d3Every({ schools: { d3: 'often', tube: 'no' } })).toBe(2)
  })

  it('gives way where it is not, and the line says what was chosen and why it cannot stand', () => {
    const { supplements, source } = dutyOf('feed', { schools: { tube: 'no' } }) ?? {}
    expect(supplements?.[0]?.everyDays).toBe(2)
    expect(source).toMatchObject({
      option: 'often',
      insteadOf: { option: 'seldom', needs: { ultraviolet: true } },
    })
    expect(d3Every({ schools: { d3: 'often' } })).toBe(14)
  })

  it('follows a tube that somebody signed for', () => {
    const signed: Override = {
      light: { uvb: { ...TUBE, share: [0.3, 0.6], distanceMm: [250, 400] } },
      by: 'a',
      on: 0,
      reason: 'So',
    }
    expect(d3Every({ schools: { tube: 'no' }, residentOverrides: [signed] })).toBe(14)
  })

  it('has another side for those who choose otherwise, or the sheet cannot stand', () => {
    const [d3, ...others] = written.schools
    const one = {
      ...d3,
      options: [
        { ...seldom, duties: supplements(14) },
        { ...seldom, id: 'rarely' },
      ],
    }
    expect(sheetFaults(Sheet.parse(written))).toEqual([])
    expect(sheetFaults(Sheet.parse({ ...written, schools: [one, ...others] }))).toEqual([
      {
        path: ['schools', 0, 'options'],
        what: { code: 'noOptionStands', question: 'D3?', ultraviolet: false },
      },
    ])
  })
})

describe('an option with a season and changes for some stages', () => {
  const litres = (iso: string, stage: string) =>
    dutyOf('rain', { stage, schools: { rain: 'wet' }, day: dayFromIso(iso) })?.litres

  it('is there in its season only', () => {
    expect(litres('2026-05-14', 'adult')).toBeUndefined()
    expect(litres('2026-05-15', 'adult')).toBe(2)
    expect(litres('2026-06-05', 'adult')).toBeUndefined()
  })

  it('gives the young their own', () => {
    expect(litres('2026-05-20', 'young')).toBe(0.2)
  })

  it('names no stage that the sheet does not have', () => {
    const [d3, tube, rain] = written.schools
    const stranger = { ...rain, options: rain?.options.map((option) => ({ ...option, stages: ['egg'] })) }
    expect(
      sheetFaults(Sheet.parse({ ...written, schools: [d3, tube, stranger] })).map(({ what }) => what),
    ).toEqual(Array(2).fill({ code: 'stageUnknown', stage: 'egg' }))
  })
})
