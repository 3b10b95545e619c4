import type { Entry, Severity, Verdict } from '@kobrin/core'
import type { TroubleKind } from '../husbandry/trouble.ts'
import { TROUBLES } from '../husbandry/trouble.ts'
import type { OtherLife } from './otherLives.ts'

type Code = Verdict['what']['code']

/** What is said of a life on one day. */
export interface SaidOn {
  day: number
  verdicts: readonly { code: Code; severity: Severity; uid?: string }[]
}

/** Verdicts that find a trouble. */
export const FINDS: Readonly<Record<TroubleKind, readonly Code[]>> = {
  wasting: ['losing'],
  overfed: ['gainingFast'],
  stunted: ['notGrowing'],
  offFood: ['refusing', 'losing'],
  stuckInSkin: ['ecdysisOverdue', 'signTooLong'],
  signStays: ['signTooLong', 'ecdysisOverdue'],
  gone: ['unseen'],
}

/** What is true of the house or of a number and not of the animal's life. */
const NO_JUDGEMENT: readonly Code[] = ['reading', 'retainedSkin', 'fedTwice', 'condition', 'suspectWeight']
export const DAYS_A_MONTH = 30.44

function isTrouble(kind: string): kind is TroubleKind {
  return (TROUBLES as readonly string[]).includes(kind)
}

/** What was the matter with a life, from when on; null where nothing was. */
function troubleOf({ trouble }: OtherLife): { kind: TroubleKind; from: number } | null {
  return trouble && isTrouble(trouble.kind) ? { kind: trouble.kind, from: trouble.from } : null
}

function countSince(entries: readonly Entry[], kind: Entry['kind'], from: number, until = Infinity): number {
  return entries.filter((entry) => entry.kind === kind && entry.day >= from && entry.day <= until).length
}

function hasShed(entry: Entry, stages: readonly string[]): boolean {
  return entry.kind === 'ecdysis' && stages.includes(entry.payload.stage)
}

/** Whether its sheds are on record without one missing between two of them. */
function shedsAreWritten({ entries, sheet }: OtherLife, before: number): boolean {
  const days = entries
    .filter((one) => one.day < before && hasShed(one, ['shed', 'molted']))
    .map(({ day }) => day)
    .sort((a, b) => a - b)
  const gaps = days.slice(1).map((day, at) => day - (days[at] ?? day))
  return !sheet.ecdysis?.eaten && gaps.length >= 2 && Math.max(...gaps) < 1.7 * Math.min(...gaps)
}

/** Whether the record of a house holds what it takes to see the trouble at all. */
function canBeSeen(life: OtherLife, kind: TroubleKind, from: number) {
  const { entries, lastDay, sheet, stage, stages } = life
  const skin = sheet.ecdysis?.days[stages.at(-1)?.stage ?? stage]
  const isLong = skin !== undefined && lastDay - from > 1.8 * skin[1]
  switch (kind) {
    case 'wasting':
    case 'overfed':
    case 'stunted':
      return countSince(entries, 'weighed', from) >= 4
    case 'offFood':
      return countSince(entries, 'fed', from) >= 5
    case 'gone':
      return countSince(entries, 'looked', from) >= 3
    case 'signStays':
      return isLong && entries.some((one) => one.day >= from && hasShed(one, ['inBlue', 'premolt']))
    case 'stuckInSkin':
      // Of one that eats its skin, or of which some sheds were not written down, nobody can say that it is late.
      return isLong && shedsAreWritten(life, from)
  }
}

/** Days, or weighings, within which a trouble is found in time. */
function isInTime(
  { entries, sheet }: OtherLife,
  { kind, from }: { kind: TroubleKind; from: number },
  on: number,
) {
  const days = on - from
  switch (kind) {
    case 'wasting':
      return days <= 70 || countSince(entries, 'weighed', from, on) <= 4
    case 'offFood':
      return days <= 100
    case 'gone':
      return days <= 3 * (sheet.stages.at(-1)?.unseenToWorry ?? sheet.unseenToWorry ?? 20) + 14
    case 'stuckInSkin':
    case 'signStays':
      return true
    default:
      return days <= 250
  }
}

interface Tally {
  months: number
  act: number
  watch: number
  slips: number
  slipsFound: number
  kinds: Map<TroubleKind, { lives: number; found: number }>
}

function nothingJudged(): Tally {
  return { months: 0, act: 0, watch: 0, slips: 0, slipsFound: 0, kinds: new Map() }
}

/** Episodes of what was said while nothing was the matter: a verdict that was not there the week before. */
function countWrong(tally: Tally, life: OtherLife, weekly: readonly SaidOn[]): void {
  const from = troubleOf(life)?.from ?? Infinity
  let before: readonly Code[] = []
  for (const { day, verdicts } of weekly) {
    if (day >= from) return
    tally.months += 7 / DAYS_A_MONTH
    const grave = verdicts.filter(({ severity, code }) => severity !== 'info' && !NO_JUDGEMENT.includes(code))
    for (const { severity, code } of grave) {
      if (before.includes(code)) continue
      if (severity === 'watch') tally.watch += 1
      else tally.act += 1
    }
    before = grave.map(({ code }) => code)
  }
}

/** Takes one life into the tally of its house: `weekly`, what was said each week; `onSlips`, on the days of its slips. */
function tallyLife(
  tally: Tally,
  life: OtherLife,
  { weekly, onSlips }: { weekly: readonly SaidOn[]; onSlips: readonly SaidOn[] },
): void {
  countWrong(tally, life, weekly)
  for (const { uid, day } of life.slips) {
    tally.slips += 1
    const told = onSlips.find((said) => said.day === day)?.verdicts ?? []
    if (told.some((one) => one.code === 'suspectWeight' && one.uid === uid)) tally.slipsFound += 1
  }
  const trouble = troubleOf(life)
  if (!trouble || !canBeSeen(life, trouble.kind, trouble.from)) return
  const found = weekly.find(
    ({ day, verdicts }) =>
      day >= trouble.from &&
      verdicts.some(({ severity, code }) => severity !== 'info' && FINDS[trouble.kind].includes(code)),
  )
  const counted = tally.kinds.get(trouble.kind) ?? { lives: 0, found: 0 }
  tally.kinds.set(trouble.kind, {
    lives: counted.lives + 1,
    found: counted.found + (found && isInTime(life, trouble, found.day) ? 1 : 0),
  })
}

/** What a tally comes to: the share of troubles found in time, and wrong verdicts in 100 resident-months. */
function scoreOf({ months, act, watch, kinds, slips, slipsFound }: Tally) {
  const all = [...kinds.values()]
  const lives = all.reduce((sum, one) => sum + one.lives, 0)
  const found = all.reduce((sum, one) => sum + one.found, 0)
  return {
    found: found / lives,
    wrongAct: (100 * act) / months,
    wrongWatch: (100 * watch) / months,
    slips: slips === 0 ? 1 : slipsFound / slips,
    kinds: [...kinds].map(([kind, one]) => `${kind} ${one.found}/${one.lives}`).join(', '),
    months: Math.round(months),
  }
}
export type Score = ReturnType<typeof scoreOf>

type Judge = (question: object) => { on: readonly SaidOn[] }

/** A house judged week by week. `judge`: the computation `verdicts`. */
export function judgeHouse(lives: Iterable<OtherLife>, judge: Judge): Score {
  const tally = nothingJudged()
  for (const life of lives) {
    const { sheet, stage, stages, sex, hatchedOn, entries, firstDay, lastDay, slips } = life
    const weeks = Math.floor((lastDay - firstDay + 1) / 7)
    const weekly = Array.from({ length: weeks }, (_, week) => firstDay + 6 + week * 7)
    const { on } = judge({
      sheet: sheet.id,
      stage,
      stages,
      schools: {},
      sex,
      hatchedOn,
      hemisphere: 'north',
      entries,
      days: [...weekly, ...slips.map(({ day }) => day)],
    })
    tallyLife(tally, life, { weekly: on.slice(0, weeks), onSlips: on.slice(weeks) })
  }
  return scoreOf(tally)
}
