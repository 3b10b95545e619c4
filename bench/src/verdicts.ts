import type { Verdict } from '@kobrin/core'
import { lifeOn, recordSays, residentDay } from '@kobrin/core'
import type { Life, TroubleKind } from '@kobrin/demo'
import { DAYS_A_MONTH, FINDS, lives, TROUBLES, WAYS } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server/library'
import type { Figure } from './figures.ts'
import { median, timed } from './figures.ts'

const FIRST_DAY = 20_000
const DAYS = 548
const SEEDS = [11, 1787]

/** What is true of the house and not of the animal's life, or follows from a fact that is itself told. */
const NO_JUDGEMENT: ReadonlySet<Verdict['what']['code']> = new Set(['reading', 'retainedSkin', 'fedTwice'])

/** Days, or weighings, within which a trouble is found in time. */
function isInTime({ plan, trouble, entries }: Life, found: number): boolean {
  if (!trouble) return false
  const days = found - trouble.from
  const weighings = entries.filter(
    ({ kind, day }) => kind === 'weighed' && day >= trouble.from && day <= found,
  ).length
  switch (trouble.kind) {
    case 'wasting':
      return weighings <= 3 || days <= 42
    case 'offFood':
      return days <= 100
    case 'gone':
      return days <= 3 * (plan.unseenToWorry ?? Infinity) + 14
    case 'stuckInSkin':
    case 'signStays':
      return days <= 2 * (plan.ecdysis?.days[1] ?? 0)
    default:
      return days <= 250
  }
}

function isRefusal(entry: Life['entries'][number]): boolean {
  return entry.kind === 'fed' && entry.payload.outcome === 'refused'
}

/** Of the time to grow up, before standing still can be told from growing slowly. */
const LONG_ENOUGH = 0.12

/** Well below the lightest that its sheet calls grown. */
function stillYoung(growth: Life['plan']['growth'], grams: number): boolean {
  return growth !== undefined && grams < 0.7 * growth.grown[0]
}

/** Whether the trouble can be seen in this life at all: in what is weighed, sheds and has a sheet that says how it
 * grows. */
function canBeSeen({ plan, trouble, entries, grams, lastDay }: Life): boolean {
  switch (trouble?.kind) {
    case 'wasting':
      return (
        plan.duties.some(({ does }) => does === 'weigh') && entries.some(({ kind }) => kind === 'weighed')
      )
    case 'overfed':
      return plan.growth !== undefined
    case 'stunted':
      return (
        plan.next !== undefined &&
        stillYoung(plan.growth, grams[trouble.from - FIRST_DAY] ?? Infinity) &&
        lastDay - trouble.from > LONG_ENOUGH * (plan.growth?.days[1] ?? Infinity)
      )
    case 'stuckInSkin':
    case 'signStays':
      return (
        plan.ecdysis !== undefined &&
        // Of one that eats its skin nobody knows whether it shed.
        !(trouble.kind === 'stuckInSkin' && plan.ecdysis.eaten) &&
        entries.some(({ kind }) => kind === 'ecdysis') &&
        lastDay - trouble.from > 1.6 * plan.ecdysis.days[1]
      )
    case 'offFood':
      // Of a bowl of greens nobody sees what was refused; and in its season a fast is none to find.
      return (
        plan.fasts === undefined &&
        entries.filter((entry) => isRefusal(entry) && entry.day >= trouble.from).length >= 4
      )
    default:
      return true
  }
}

interface Tally {
  months: number
  act: number
  watch: number
  slips: number
  slipsFound: number
  kinds: Map<string, { lives: number; found: number }>
}

function judged(life: Life): Map<number, Verdict[]> {
  const weekly = Array.from({ length: Math.floor(DAYS / 7) }, (_, week) => FIRST_DAY + 6 + week * 7)
  const days = [...weekly, ...life.slips.map(({ day }) => day)]
  const { sheet, stage, sex, hatchedOn, plan } = life
  return new Map(
    lifeOn(life.entries, days, { sheet, stage, sex, hatchedOn }).map(({ day, state, readings }) => [
      day,
      recordSays({ day, plan, state, today: residentDay({ day, plan, state, readings }) }),
    ]),
  )
}

function isTroubled({ trouble }: Life, day: number): boolean {
  return trouble !== null && day >= trouble.from && (TROUBLES as readonly string[]).includes(trouble.kind)
}

/** Episodes: a verdict that was not there the week before. */
function countWrong(tally: Tally, life: Life, said: ReadonlyMap<number, readonly Verdict[]>): void {
  let before = new Set<string>()
  for (const [day, verdicts] of said) {
    if (isTroubled(life, day)) break
    tally.months += 7 / DAYS_A_MONTH
    const grave = verdicts.filter(
      ({ severity, what }) =>
        severity !== 'info' && what.code !== 'suspectWeight' && !NO_JUDGEMENT.has(what.code),
    )
    for (const { severity, what } of grave) {
      if (before.has(what.code)) continue
      if (severity === 'watch') tally.watch += 1
      else tally.act += 1
    }
    before = new Set(grave.map(({ what }) => what.code))
  }
}

function countFound(tally: Tally, life: Life, said: ReadonlyMap<number, readonly Verdict[]>): void {
  const { trouble } = life
  if (!trouble || !isTroubled(life, trouble.from) || !canBeSeen(life)) return
  const codes = FINDS[trouble.kind as TroubleKind]
  const found = [...said].find(
    ([day, verdicts]) =>
      day >= trouble.from &&
      verdicts.some(({ severity, what }) => severity !== 'info' && codes.includes(what.code)),
  )
  const counted = tally.kinds.get(trouble.kind) ?? { lives: 0, found: 0 }
  tally.kinds.set(trouble.kind, {
    lives: counted.lives + 1,
    found: counted.found + (found && isInTime(life, found[0]) ? 1 : 0),
  })
}

function countSlips(tally: Tally, { slips }: Life, said: ReadonlyMap<number, readonly Verdict[]>): void {
  for (const { uid, day } of slips) {
    tally.slips += 1
    const told = said.get(day)?.some(({ what }) => what.code === 'suspectWeight' && what.uid === uid)
    if (told) tally.slipsFound += 1
  }
}

/** Troubles found in time and false alarms, against what was the matter with simulated lives; and how long the
 * judgement takes over reading the histories. */
export async function verdictFigures(): Promise<Figure[]> {
  const tally: Tally = { months: 0, act: 0, watch: 0, slips: 0, slipsFound: 0, kinds: new Map() }
  const judging: number[] = []
  const parsing: number[] = []
  // Few live long enough beyond their growing to show that they stand still: more of them are told.
  const troubles = [null, null, ...WAYS, ...TROUBLES, 'stunted', 'stunted'] as const
  for (const seed of SEEDS) {
    const told = lives({ sheets: readLibrary(), firstDay: FIRST_DAY, days: DAYS, seed, troubles })
    for (const life of told) {
      const text = JSON.stringify(life.entries)
      parsing.push(await timed(() => JSON.parse(text) as unknown))
      let said = new Map<number, Verdict[]>()
      judging.push(await timed(() => (said = judged(life))))
      const weekly = new Map([...said].filter(([day]) => (day - FIRST_DAY - 6) % 7 === 0))
      countWrong(tally, life, weekly)
      countFound(tally, life, weekly)
      countSlips(tally, life, said)
    }
  }
  const hundred = tally.months / 100
  const months = `${Math.round(tally.months)} resident-months without trouble`
  return [
    ...[...tally.kinds].map(([kind, { lives: all, found }]) => ({
      name: `verdicts-found-${kind}`,
      value: found / all,
      limit: 0.9,
      atLeast: true as const,
      about: `${found} of ${all} lives found in time`,
    })),
    {
      name: 'verdicts-found-slips',
      value: tally.slipsFound / tally.slips,
      limit: 0.9,
      atLeast: true,
      about: `${tally.slipsFound} of ${tally.slips} slips named on their day`,
    },
    { name: 'verdicts-wrong-act', value: tally.act / hundred, limit: 1, about: `${tally.act} in ${months}` },
    {
      name: 'verdicts-wrong-watch',
      value: tally.watch / hundred,
      limit: 6,
      about: `${tally.watch} in ${months}`,
    },
    {
      name: 'verdicts-over-parse',
      value: median(judging) / median(parsing),
      limit: 60,
      about: `18 months, weekly: ${median(judging).toFixed(0)} ms against ${median(parsing).toFixed(1)} ms`,
    },
  ]
}
