import type { Draft, Entry, Plan, ResidentState, Sheet, Task } from '@kobrin/core'
import { advance, asPlanned, emptyState, isPlan, residentDay, resolvePlan } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { readLibrary } from './readLibrary.ts'

const sheets = readLibrary()
/** 2026-01-01 */
const NEW_YEAR = 20_454
const SUBJECT = '00000000-0000-7000-8000-000000000001'
const AUTHOR = '00000000-0000-7000-8000-00000000000a'
const HOME = '00000000-0000-7000-8000-0000000000ff'

interface Life {
  sheet: Sheet
  stage: string
  schools: Record<string, string>
}

/** Each stage under the sheet's own sides, and under each other side of every question. */
function livesOf(sheet: Sheet): Life[] {
  const sides = sheet.schools.flatMap(({ id, options, default: usual }) =>
    options.filter((option) => option.id !== usual).map((option) => ({ [id]: option.id })),
  )
  return sheet.stages.flatMap(({ id: stage }) => [{}, ...sides].map((schools) => ({ sheet, stage, schools })))
}

/** Keeps a record for one animal as the walk asks for it. */
class Record {
  state: ResidentState = emptyState('resident')
  #made = 0

  say(day: number, said: Pick<Draft, 'kind' | 'payload'>): void {
    this.#made += 1
    const stamp = {
      uid: `01900000-0000-7000-8000-${this.#made.toString(16).padStart(12, '0')}`,
      subject: SUBJECT,
      occurredAt: new Date(day * 86_400_000 + 36_000_000 + this.#made).toISOString(),
      day,
      author: AUTHOR,
    }
    const next = advance(this.state, { ...stamp, ...said } as unknown as Entry)
    if (next === 'replay') throw new Error('Told out of order.')
    this.state = next
  }
}

/** What a day of a life was: the plan it was under and everything that was done. */
interface Lived {
  day: number
  plan: Plan
  done: Task[]
}

function planOf({ sheet, stage, schools }: Life, day: number): Plan {
  const plan = resolvePlan(sheet, { stage, schools, day })
  if (!isPlan(plan)) throw new Error(`No plan for ${sheet.id}.`)
  return plan
}

function yearOf(life: Life): Lived[] {
  const record = new Record()
  record.say(NEW_YEAR, { kind: 'arrived', payload: { enclosure: HOME } })
  return Array.from({ length: 365 }, (_, index) => {
    const day = NEW_YEAR + index
    const plan = planOf(life, day)
    const { tasks } = residentDay({ day, plan, state: record.state })
    const done = tasks.filter(({ status }) => status === 'due' || status === 'late')
    for (const task of done) {
      const draft = asPlanned(SUBJECT, task)
      if (draft) record.say(day, draft)
    }
    return { day, plan, done }
  })
}

const isD3 = (name: string) => /D3/.test(name)

/** Days on which vitamin D3 was given. */
function d3Days(year: readonly Lived[]): number[] {
  return year
    .filter(({ done }) => done.some(({ offering }) => offering?.supplements.some(isD3)))
    .map(({ day }) => day)
}

function gaps(days: readonly number[]): number[] {
  return days.slice(1).map((day, index) => day - (days[index] ?? day))
}

describe('a year under every sheet, stage and school', () => {
  const lives = sheets.flatMap(livesOf)
  const named = lives.map((life) => ({
    ...life,
    name: `${life.sheet.id} ${life.stage} ${JSON.stringify(life.schools)}`,
  }))

  const dusted = named.filter((life) =>
    planOf(life, NEW_YEAR).duties.some(({ supplements = [] }) => supplements.some(({ name }) => isD3(name))),
  )

  it('looks at all that are given vitamin D3', () => {
    expect(new Set(dusted.map(({ sheet }) => sheet.id)).size).toBeGreaterThanOrEqual(8)
  })

  it.each(dusted)('$name: D3 seldom with ultraviolet, regularly without', (life) => {
    const year = yearOf(life)
    const lit = year[0]?.plan.light?.uvb !== undefined
    const between = gaps(d3Days(year))
    expect(between.length).toBeGreaterThan(20)
    // It is stored, and poisons: never day after day. Without ultraviolet nothing else gives it.
    expect(Math.min(...between)).toBeGreaterThanOrEqual(lit ? 10 : 2)
    expect(Math.max(...between)).toBeLessThanOrEqual(lit ? 21 : 9)
  })

  it.each(named.filter(({ schools }) => schools['season'] === 'rain'))(
    '$name: three weeks of rain in the place of the mist, and then the mist again',
    (life) => {
      const dampened = yearOf(life).map(({ plan }) =>
        plan.duties.filter(({ does }) => does === 'dampen').map(({ id }) => id),
      )
      expect(dampened.filter((ids) => ids.includes('rain'))).toEqual(Array(21).fill(['rain']))
      expect(dampened.filter((ids) => !ids.includes('rain'))).toEqual(Array(344).fill(['dampen']))
    },
  )
})
