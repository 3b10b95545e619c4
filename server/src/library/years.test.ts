import type { Draft, Entry, Plan, ResidentState, Sheet, Task } from '@kobrin/core'
import {
  advance,
  asPlanned,
  effectsOf,
  emptyState,
  HoldKind,
  impossibleOf,
  isPlan,
  isToDo,
  residentDay,
  resolvePlan,
} from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { readLibrary } from './readLibrary.ts'

const sheets = readLibrary()
/** 2026-01-01 */
const NEW_YEAR = 20_454
/** 21 May: in the season of the schools that have one. */
const RAINS_ON = NEW_YEAR + 140
const SUBJECT = '00000000-0000-7000-8000-000000000001'
const AUTHOR = '00000000-0000-7000-8000-00000000000a'
const HOME = '00000000-0000-7000-8000-0000000000ff'

interface Life {
  sheet: Sheet
  stage: string
  schools: Record<string, string>
}

/** Every way to choose among the schools of a sheet. */
function everyChoice({ schools }: Sheet): Record<string, string>[] {
  return schools.reduce<Record<string, string>[]>(
    (choices, { id, options }) =>
      options.flatMap((option) => choices.map((choice) => ({ ...choice, [id]: option.id }))),
    [{}],
  )
}

/** Each stage under every way to choose among the schools. */
function livesOf(sheet: Sheet): Life[] {
  const choices = everyChoice(sheet)
  return sheet.stages.flatMap(({ id: stage }) => choices.map((schools) => ({ sheet, stage, schools })))
}

/** Keeps a record for one animal as the walk asks for it. */
class Log {
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

/** One life for each that is told apart by what is looked at: the others would live the same year. */
function distinct(lives: readonly Life[], lookedAt: (plan: Plan) => unknown): (Life & { name: string })[] {
  const kept = new Map<string, Life>()
  for (const life of lives) {
    const seen = JSON.stringify(lookedAt(planOf(life, NEW_YEAR)), (key, value: unknown) =>
      key === 'source' ? undefined : value,
    )
    const key = `${life.sheet.id} ${life.stage} ${seen}`
    if (!kept.has(key)) kept.set(key, life)
  }
  return [...kept.values()].map((life) => ({
    ...life,
    name: `${life.sheet.id} ${life.stage} ${JSON.stringify(life.schools)}`,
  }))
}

/** So many of the lives that each duty of each is lived under the holds it stands beside: what is asked for under a hold
 * does not depend on what else is. */
function covering(lives: readonly Life[]): (Life & { name: string })[] {
  const seen = new Set<string>()
  return distinct(lives, ({ duties, holds, never }) => ({ duties, holds, never })).filter((life) => {
    const { duties, holds, never } = planOf(life, NEW_YEAR)
    const keys = duties.map((duty) =>
      JSON.stringify([life.sheet.id, life.stage, { ...duty, source: null }, holds, never]),
    )
    const isNew = keys.some((key) => !seen.has(key))
    for (const key of keys) seen.add(key)
    return isNew
  })
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
  const record = new Log()
  record.say(NEW_YEAR, { kind: 'arrived', payload: { enclosure: HOME } })
  return Array.from({ length: 365 }, (_, index) => {
    const day = NEW_YEAR + index
    const plan = planOf(life, day)
    const { tasks } = residentDay({ day, plan, state: record.state })
    const done = tasks.filter(isToDo)
    for (const task of done) {
      const draft = asPlanned(SUBJECT, task)
      if (draft) record.say(day, draft)
    }
    return { day, plan, done }
  })
}

/** From here on it fasts, and then it rests. */
const FAST_FROM = NEW_YEAR + 270
const REST_DAYS = 56

interface Rested {
  /** Everything done from the first day of the fast to the last of the rest, and in the rest alone. */
  done: Task[]
  cooled: Task[]
  verdicts: string[]
  weighed: number[]
}

/** A year in which a keeper fasts it in autumn, cools it down and weighs it whenever that is due. */
function restOf(life: Life): Rested {
  const log = new Log()
  const grams = life.sheet.adult?.grams?.[1] ?? 10
  const { rest } = planOf(life, NEW_YEAR)
  const cooledOn = FAST_FROM + (rest?.fastDays ?? 0)
  const rested: Rested = { done: [], cooled: [], verdicts: [], weighed: [] }
  const from = FAST_FROM - 40
  log.say(from, { kind: 'arrived', payload: { enclosure: HOME } })
  for (let day = from; day < cooledOn + REST_DAYS; day += 1) {
    const hold = day === cooledOn ? 'winterRest' : day === FAST_FROM ? 'fasting' : null
    if (hold) {
      if (hold === 'winterRest') log.say(day, { kind: 'released', payload: { hold: 'fasting' } })
      log.say(day, { kind: 'held', payload: { hold, reason: 'Autumn' } })
    }
    const { tasks, verdicts } = residentDay({ day, plan: planOf(life, day), state: log.state })
    const done = tasks.filter(isToDo)
    const weighs = done.some(({ duty }) => duty.does === 'weigh')
    if (day >= FAST_FROM) {
      rested.done.push(...done)
      if (day >= cooledOn) rested.cooled.push(...done)
      if (day > cooledOn + 9) rested.verdicts.push(...verdicts.map(({ what }) => what.code))
      if (weighs) rested.weighed.push(day)
    }
    if (weighs) log.say(day, { kind: 'weighed', payload: { grams } })
    for (const task of done) {
      const draft = asPlanned(SUBJECT, task)
      if (draft) log.say(day, draft)
    }
  }
  return rested
}

const HELD_DAYS = 12
const FREE_DAYS = 16

/** What nobody may do to an animal that is held so, whatever the duty is called. A vet's order says itself what it
 * keeps; one in blue or with a full gut is left in its box and eats on, or not, by its own plan. */
const KEPT_FROM: Readonly<Partial<Record<HoldKind, RegExp>>> = {
  inBlue: /handling/,
  premolt: /handling/,
  sealedIn: /feeding|handling|bathing|opening/,
  soft: /feeding|handling/,
  digesting: /handling|bathing/,
  settling: /handling/,
  winterRest: /feeding|bathing|lighting/,
  fasting: /feeding/,
  founding: /handling|bathing|opening/,
  gravid: /handling|opening/,
  incubating: /handling|bathing|opening/,
  leaveBe: /feeding|handling|bathing|opening/,
}

/** What a task does, by what its sheet says and by what its name says. */
function doneBy({ duty }: Task): string {
  const { does, label = '' } = duty
  return [
    ...effectsOf(duty),
    ...(does === 'feed' ? ['feeding'] : []),
    ...(does === 'weigh' || does === 'measure' ? ['handling'] : []),
    ...((does === 'water' || does === 'feed') && /\b(soak|bath)/i.test(label) ? ['bathing'] : []),
  ].join(' ')
}

/** A line that forbids a food altogether, not a size of it, a habit or a way to give it. */
function isForbidden(item: string, never: readonly string[]): boolean {
  return never.some(
    (line) =>
      !/ as | left |wider|larger|wet |coated|wild|young| in flower/.test(line) &&
      new RegExp(`\\b${item}\\b`, 'i').test(line),
  )
}

/** What the walk asked for against a hold or a never-line, in a year in which it is held in every way in turn. */
function askedWrongly(life: Life): string[] {
  const log = new Log()
  const wrong = new Set<string>()
  log.say(NEW_YEAR - 90, { kind: 'arrived', payload: { enclosure: HOME } })
  for (let index = 0; index < 365; index += 1) {
    const day = NEW_YEAR + index
    const hold = HoldKind.options[Math.floor(index / (HELD_DAYS + FREE_DAYS))]
    const at = index % (HELD_DAYS + FREE_DAYS)
    const isHeld = hold !== undefined && at < HELD_DAYS
    if (hold && at === 0) log.say(day, { kind: 'held', payload: { hold, reason: 'Seen' } })
    if (hold && at === HELD_DAYS) log.say(day, { kind: 'released', payload: { hold } })
    const plan = planOf(life, day)
    const { tasks } = residentDay({ day, plan, state: log.state })
    for (const task of tasks.filter(isToDo)) {
      const { duty, offering } = task
      const isWeighedAtRest = hold === 'winterRest' && duty.does === 'weigh'
      if (isHeld && !duty.despite?.includes(hold) && !isWeighedAtRest && KEPT_FROM[hold]?.test(doneBy(task)))
        wrong.add(`${hold}: ${duty.id}`)
      if (offering && isForbidden(offering.item, plan.never ?? [])) wrong.add(`never: ${offering.item}`)
      const draft = asPlanned(SUBJECT, task)
      if (draft) log.say(day, draft)
    }
  }
  return [...wrong]
}

/** Where what a plan wants lies beyond what it says harms. */
function wantedBeyondHarm({ targets, light }: Plan): string[] {
  const within = (values: readonly number[], [low, high]: readonly [number, number]) =>
    values.every((value) => value > low && value < high)
  return [
    ...targets.flatMap((target) => {
      const { zone, celsius = [], nightCelsius = [], humidity = [], humidityHarms } = target
      const { neverBelowCelsius = -Infinity, ceilingCelsius = Infinity } = target
      const warm = within([...celsius, ...nightCelsius], [neverBelowCelsius, ceilingCelsius])
      return warm && (!humidityHarms || within(humidity, humidityHarms)) ? [] : [zone]
    }),
    ...(light?.uvb?.harmAbove !== undefined && (light.uvb.index?.[1] ?? 0) >= light.uvb.harmAbove
      ? ['uvb']
      : []),
  ]
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
  const fed = ({ duties, light, holds }: Plan) => ({
    duties: duties.filter(({ does }) => does === 'feed'),
    lit: light?.uvb !== undefined,
    holds,
  })
  const dusted = distinct(lives, fed).filter((life) =>
    planOf(life, NEW_YEAR).duties.some(({ supplements = [] }) => supplements.some(({ name }) => isD3(name))),
  )

  it('looks at all that are given vitamin D3', () => {
    expect(new Set(dusted.map(({ sheet }) => sheet.id)).size).toBeGreaterThanOrEqual(8)
  })

  it.each(dusted)('$name: D3 seldom with ultraviolet, regularly without', (life) => {
    const year = yearOf(life)
    const lit = year[0]?.plan.light?.uvb !== undefined
    const inFood = year[0]?.plan.duties.some(({ foods = [] }) => foods.some(({ carriesD3 }) => carriesD3))
    const seldom = lit || inFood
    const between = gaps(d3Days(year))
    expect(between.length).toBeGreaterThan(20)
    // It is stored, and poisons: never day after day. Without ultraviolet and a mix that brings it nothing else gives it.
    expect(Math.min(...between)).toBeGreaterThanOrEqual(seldom ? 10 : 2)
    expect(Math.max(...between)).toBeLessThanOrEqual(seldom ? 21 : 9)
  })

  const resting = distinct(
    lives.filter((life) => planOf(life, NEW_YEAR).rest !== undefined),
    ({ duties, holds, rest }) => ({ duties, holds, rest }),
  )

  it('looks at all that may rest through the winter', () => {
    expect(new Set(resting.map(({ sheet }) => sheet.id)).size).toBeGreaterThanOrEqual(8)
  })

  it.each(resting)(
    '$name: a fast first, no food from then on, no bath, hand or light in the rest, and weighed every week',
    (life) => {
      const { done, cooled, verdicts, weighed } = restOf(life)
      const plan = planOf(life, NEW_YEAR)
      const fed = ({ duty }: Task) => duty.does === 'feed' || duty.effects?.includes('feeding')
      const disturbed = ({ duty: { does, effects = [], label = '' } }: Task) =>
        does === 'measure' ||
        effects.some((effect) => effect === 'bathing' || effect === 'handling' || effect === 'lighting') ||
        (does === 'water' && /soak|bath/i.test(label))
      expect(done.filter(fed)).toEqual([])
      expect(cooled.filter(disturbed)).toEqual([])
      // What lives on a full crop has no gut to rot; all others are cooled empty.
      expect((plan.rest?.fastDays ?? 0) >= 10).toBe(life.sheet.group !== 'ant')
      expect(verdicts.filter((code) => code === 'restUnfit' || code === 'wake')).toEqual([])
      const weighs = plan.duties.some(({ does }) => does === 'weigh')
      expect(plan.rest?.stopAtLoss !== undefined).toBe(weighs)
      if (weighs) expect(Math.max(...gaps(weighed.slice(-6)))).toBeLessThanOrEqual(7)
    },
  )

  it('asks for nothing that the housing of the stage cannot bear', () => {
    const beyond = [NEW_YEAR, RAINS_ON].flatMap((day) =>
      lives.flatMap((life) =>
        impossibleOf(planOf(life, day)).map((what) => [life.sheet.id, life.stage, life.schools, what]),
      ),
    )
    expect(lives.length).toBeGreaterThan(1_500)
    expect(beyond).toEqual([])
  })

  it('has no rest for the young of those that are weighed, unless a house chose one for them', () => {
    const young = resting.filter(
      ({ sheet, stage, schools }) =>
        sheet.adult?.grams && stage !== sheet.stages.at(-1)?.id && schools['youngRest'] !== 'short',
    )
    expect(young).toEqual([])
    for (const { schools } of sheets)
      expect(schools.find(({ id }) => id === 'youngRest')?.default ?? 'through').toBe('through')
  })

  it.each(
    distinct(
      lives.filter(({ stage, schools }) => stage === 'adult' && schools['season'] === 'rain'),
      ({ duties }) => duties.filter(({ does }) => does === 'dampen'),
    ),
  )('$name: three weeks of rain in the place of the mist, and then the mist again', (life) => {
    const dampened = yearOf(life).map(({ plan }) =>
      plan.duties.filter(({ does }) => does === 'dampen').map(({ id }) => id),
    )
    expect(dampened.filter((ids) => ids.includes('rain'))).toEqual(Array(21).fill(['rain']))
    expect(dampened.filter((ids) => !ids.includes('rain'))).toEqual(Array(344).fill(['dampen']))
  })

  it.each(covering(lives))(
    '$name: held in every way in turn, nothing is asked for that the hold or a never-line forbids',
    (life) => {
      expect(askedWrongly(life)).toEqual([])
    },
  )

  it('wants nothing that harms, in any season', () => {
    const beyond = [NEW_YEAR, RAINS_ON, NEW_YEAR + 200].flatMap((day) =>
      lives.flatMap((life) =>
        wantedBeyondHarm(planOf(life, day)).map((zone) => [life.sheet.id, life.stage, life.schools, zone]),
      ),
    )
    expect(beyond).toEqual([])
  })
})
