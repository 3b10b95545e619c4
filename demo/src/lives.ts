import type { Draft, Entry, Plan, Register, Sheet } from '@kobrin/core'
import { isInSeason, isPlan, resolvePlan } from '@kobrin/core'
import type { Chance } from './chance.ts'
import { createChance } from './chance.ts'
import type { Animal } from './husbandry/animal.ts'
import { newAnimal } from './husbandry/animal.ts'
import { GROWING_UP } from './husbandry/biology.ts'
import type { KeeperDay, Kept } from './husbandry/keeping.ts'
import { keepADay, newKept, record } from './husbandry/keeping.ts'
import type { Trouble } from './husbandry/trouble.ts'

/** One animal's life on record, and what was the matter with it. */
export interface Life {
  sheet: string
  stage: string
  sex: Register['sex']
  hatchedOn: number
  plan: Plan
  entries: Entry[]
  trouble: Trouble | null
  /** Its weight without gut and reserves, day by day from the first. */
  grams: number[]
  /** Weighings that were written down wrong and never put right, by uid, with their day. */
  slips: { uid: string; day: number }[]
  firstDay: number
  lastDay: number
}

export interface LivesOptions {
  sheets: readonly Sheet[]
  firstDay: number
  days: number
  seed: number
  /** Lives of each species and stage that are told, and the trouble each has. */
  troubles: readonly (Trouble['kind'] | null)[]
}

const KEEPER = '00000000-0000-7000-8000-0000000000a1'
const DAY_MS = 86_400_000

/** Settled in before anything goes wrong, and with time to be noticed. */
const AT_PEACE = 200
const TIME_TO_NOTICE = 150
/** Share of the time to grow up in which growth is still plain. */
const STILL_GROWS = 0.4

function troubleOf(
  kind: Trouble['kind'] | null,
  growsUpIn: number,
  { days, firstDay }: LivesOptions,
  chance: Chance,
): Trouble | null {
  if (kind === null) return null
  const aWeek = kind === 'overfed' ? chance.between(0.015, 0.03) : chance.between(0.012, 0.035)
  // One that stands still must have had growing to do.
  const latest = Math.round(kind === 'stunted' ? growsUpIn * STILL_GROWS : days - TIME_TO_NOTICE)
  const least = Math.min(AT_PEACE, Math.round(latest / 2))
  return { kind, from: firstDay + chance.whole(least, Math.max(least, latest)), aWeek }
}

function beginLife(
  key: string,
  { biology, trouble }: Pick<Animal, 'biology' | 'trouble'>,
  options: LivesOptions,
  chance: Chance,
): [Kept, Life] | null {
  const [sheetId = '', stage = ''] = key.split('/')
  const sheet = options.sheets.find(({ id }) => id === sheetId)
  const plan = sheet && resolvePlan(sheet, { stage, schools: {}, day: options.firstDay })
  if (!sheet || !plan || !isPlan(plan)) return null
  const { firstDay, days } = options
  const young = plan.next !== undefined
  const hatchedOn =
    firstDay - (young ? chance.whole(20, 60) : Math.round((sheet.growth?.adultDays[1] ?? 1000) * 1.5))
  const sex = trouble?.kind === 'lays' ? 'female' : chance.pick(['male', 'female'] as const)
  const residentId = chance.uid(firstDay * DAY_MS)
  const kept = newKept(
    { residentId, home: chance.uid(firstDay * DAY_MS) },
    plan,
    newAnimal(biology, firstDay, chance, trouble),
    firstDay,
  )
  const life = { sheet: sheetId, stage, sex, hatchedOn, plan, entries: [], trouble, grams: [], slips: [] }
  return [kept, { ...life, firstDay, lastDay: firstDay + days - 1 }]
}

function dayOf(day: number, chance: Chance): KeeperDay {
  return {
    day,
    weekend: day % 7 > 4,
    at: (minute) => day * DAY_MS + minute * 60_000,
    author: KEEPER,
    evening: KEEPER,
    may: () => true,
    minute: 480,
    until: Infinity,
    chance,
  }
}

function isFarOff(grams: number, truth: number): boolean {
  return grams > truth * 3 || grams < truth / 3
}

/** Days a clutch is carried, what it weighs in the end, and what is lost with it. */
const CLUTCH = { days: 42, grams: 0.16, lost: 0.22 }

/** What its keepers know of: a clutch that was felt and laid, a new box, a fast of the season. */
function liveItsWay(
  { animal, residentId: subject, plan, home }: Kept,
  life: Life,
  today: KeeperDay,
): Draft[] {
  const { trouble, sex } = life
  if (!trouble) return []
  const since = today.day - trouble.from
  if (trouble.kind === 'seasonFast') {
    animal.fasts = (plan.fasts ?? []).some(
      (fast) => (!fast.sex || fast.sex === sex) && isInSeason(fast.season, today.day),
    )
    return []
  }
  if (trouble.kind === 'moves' && since === 0)
    return [{ subject, kind: 'moved', payload: { to: home, why: 'A larger box.' } }]
  if (trouble.kind !== 'lays') return []
  if (since >= 0 && since < CLUTCH.days) animal.bodyGrams *= Math.exp(CLUTCH.grams / CLUTCH.days)
  animal.fasts = since > CLUTCH.days / 2 && since < CLUTCH.days
  if (since === CLUTCH.days) animal.bodyGrams *= 1 - CLUTCH.lost
  if (since === 10) return [{ subject, kind: 'held', payload: { hold: 'gravid', reason: 'Felt.' } }]
  return since === CLUTCH.days + 1
    ? [{ subject, kind: 'released', payload: { hold: 'gravid', reason: 'Laid.' } }]
    : []
}

function liveOne(kept: Kept, life: Life, chance: Chance): Life {
  const subject = kept.residentId
  for (let day = life.firstDay; day <= life.lastDay; day += 1) {
    const today = dayOf(day, chance)
    if (day === life.firstDay)
      record(
        kept,
        { subject, kind: 'arrived', payload: { enclosure: kept.home } },
        KEEPER,
        today.at(400),
        today,
      )
    for (const draft of liveItsWay(kept, life, today)) record(kept, draft, KEEPER, today.at(420), today)
    keepADay(kept, today)
    life.grams.push(kept.animal.bodyGrams)
  }
  const corrected = new Set(
    kept.history.flatMap((entry) => (entry.kind === 'corrected' ? [entry.payload.target] : [])),
  )
  const slips = kept.history.flatMap((entry) => {
    if (entry.kind !== 'weighed' || corrected.has(entry.uid)) return []
    const truth = life.grams[entry.day - life.firstDay] ?? NaN
    return isFarOff(entry.payload.grams, truth) ? [{ uid: entry.uid, day: entry.day }] : []
  })
  return { ...life, entries: kept.history, slips }
}

/** Single animals of every kind whose biology is known, with and without trouble. The same seed tells the same
 * lives. */
export function* lives(options: LivesOptions): Generator<Life> {
  const chance = createChance(options.seed)
  for (const [key, biology] of Object.entries(GROWING_UP)) {
    for (const kind of options.troubles) {
      const sheet = options.sheets.find(({ id }) => id === key.split('/')[0])
      const growsUpIn = Math.min(sheet?.growth?.adultDays[0] ?? options.days, options.days)
      const trouble = troubleOf(kind, growsUpIn, options, chance)
      const begun = beginLife(key, { biology, trouble }, options, chance)
      if (begun && begun[0].plan.lives === 'individual') yield liveOne(begun[0], begun[1], chance)
    }
  }
}
