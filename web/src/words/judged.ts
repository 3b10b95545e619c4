import type { ExplainedBy, Reason, Verdict } from '@kobrin/core'
import { words } from './en.ts'
import advice from './en/advice.ts'
import en from './en/judged.ts'
import { tablesOf, wordsOf } from './i18n.ts'
import { sayGrams, sayRangeIn } from './measures.ts'
import { sayDate, sayDay, sayRange, saySeason } from './numbers.ts'
import type { Teller } from './reasons.ts'
import { terms } from './terms.ts'

const t = wordsOf('judged', en)
const told = tablesOf('advice', advice)

/** What the record alone judges: weights, growth, appetite, skin, sightings. */
type Judged = Extract<
  Verdict['what'],
  {
    code:
      | 'losing'
      | 'lossExplained'
      | 'gainingFast'
      | 'notGrowing'
      | 'suspectWeight'
      | 'refusing'
      | 'signTooLong'
      | 'ecdysisOverdue'
      | 'ecdysisExpected'
      | 'limbsLost'
      | 'unseen'
  }
>

function isHold(by: ExplainedBy): by is keyof typeof words.hold {
  return by in words.hold
}

export function sayExplained(by: ExplainedBy): string {
  return isHold(by) ? words.hold[by].toLowerCase() : told.by[by]
}

/** Per cent, with one place where the number is small. */
function percent(share: number): number {
  const value = Math.abs(share) * 100
  return value < 10 ? Math.round(value * 10) / 10 : Math.round(value)
}

function signed(share: number): string {
  const value = percent(share)
  return value === 0 ? '0' : `${share < 0 ? '−' : '+'}${value}`
}

function sayLosing(what: Extract<Judged, { code: 'losing' }>): string {
  const below = percent(what.belowBest)
  if (what.explainedBy !== null)
    return t('losingInFast', { below, explained: sayExplained(what.explainedBy) })
  const { perWeek } = what
  return perWeek && perWeek.high < 0
    ? t('losing', { percent: percent(perWeek.mid) })
    : t('losingBelow', { below })
}

function sayRefusing({ inRow: count, explainedBy }: Extract<Judged, { code: 'refusing' }>): string {
  return explainedBy === null
    ? t('refusedNotExplained', { count })
    : t('refusedExplained', { count, explained: sayExplained(explainedBy) })
}

function sayUnseen({ days: count, hidden, gone }: Extract<Judged, { code: 'unseen' }>): string {
  if (gone) return t('notSeenGone', { count })
  return hidden ? t('notSeenAlive', { count }) : t('notSeen', { count })
}

/** The headline of what the record judges. */
export function sayJudged(what: Judged): string {
  switch (what.code) {
    case 'losing':
      return sayLosing(what)
    case 'lossExplained':
      return t('lossExplained', { below: percent(what.belowBest), explained: sayExplained(what.explainedBy) })
    case 'gainingFast':
      return t(what.grown ? 'gainingGrown' : 'gainingYoung', { gained: signed(what.gained), days: what.days })
    case 'notGrowing':
      return t('notGrowing', { gained: signed(what.gained), days: what.days })
    case 'suspectWeight':
      return what.level === null
        ? t('doesNotFitAny', { grams: sayGrams(what.grams) })
        : t('doesNotFit', { grams: sayGrams(what.grams), grams2: sayGrams(what.level) })
    case 'refusing':
      return sayRefusing(what)
    case 'signTooLong':
      return t('signTooLong', { stage: terms.stage[what.stage], count: what.days })
    case 'ecdysisOverdue':
      return t(what.what === 'shed' ? 'shedOverdue' : 'moltOverdue', { count: what.days })
    case 'ecdysisExpected':
      return t(what.what === 'shed' ? 'shedExpected' : 'moltExpected')
    case 'limbsLost':
      return t('limbsLost', { count: what.count })
    case 'unseen':
      return sayUnseen(what)
  }
}

function has<T extends object>(table: T, code: string): code is string & keyof T {
  return code in table
}

/** What to do next, and what makes the verdict go away; null where the headline says it all. */
export function sayAdvice({ what }: Verdict): { next: string; clears: string } | null {
  const { code } = what
  if (!has(told.next, code)) return null
  const first = what.code === 'losing' ? what.first : null
  return { next: first ?? told.next[code], clears: told.clears[code] }
}

type FactReason = Extract<Reason, { fact: string }>
type RuleReason = Extract<Reason, { rule: string }>
type JudgedFact = 'perWeek' | 'gained' | 'heldUntil' | 'habit' | 'found' | 'forecast'
type JudgedRule = 'losing' | 'lossAllowed' | 'plausible' | 'season' | 'growth'

/** The facts behind what the record judges. */
export const JUDGED_FACTS: {
  [F in JudgedFact]: (reason: Extract<FactReason, { fact: F }>, teller: Teller) => string
} = {
  perWeek: ({ low, mid, high }) =>
    t('perWeek', { percent: signed(mid), low: signed(low), high: signed(high) }),
  gained: ({ share, since, day }, { today }) =>
    t('gained', { percent: signed(share), from: sayDate(since, today), to: sayDate(day, today) }),
  heldUntil: ({ hold, since, until }, { today }) =>
    t('heldUntil', { hold: words.hold[hold], from: sayDate(since, today), to: sayDate(until, today) }),
  habit: ({ takes }) => t('takes', { percent: Math.round(takes * 100) }),
  found({ aliveOn, untouched, full, noDroppings: none }, { today }) {
    const alive = aliveOn === undefined ? t('nothingFound') : t('aliveOn', { day: sayDay(aliveOn, today) })
    return untouched + full + none === 0
      ? alive
      : `${alive} ${t('foundUntouched', { untouched, full, none })}`
  },
  forecast({ what, intervals, from, to }, { today }) {
    if (from === null || to === null) return t('forecastOpen', { intervals })
    const when = { from: sayDate(Math.round(from), today), to: sayDate(Math.round(to), today) }
    return t('forecast', { intervals, what: t(what === 'shed' ? 'sheds' : 'molts'), ...when })
  },
}

export const JUDGED_RULES: { [R in JudgedRule]: (reason: Extract<RuleReason, { rule: R }>) => string } = {
  losing: ({ actBelowBest, actAWeek }) =>
    t('losingRule', { below: percent(actBelowBest), week: percent(actAWeek) }),
  lossAllowed: ({ share }) => t('lossAllowed', { percent: percent(share) }),
  plausible: ({ low, high }) => t('plausible', { low: sayGrams(low), high: sayGrams(high) }),
  season: ({ season, why }) => t('season', { season: saySeason(season), why }),
  growth: ({ grown, days }) => t('growth', { grown: sayRangeIn(grown, 'g'), days: sayRange(days) }),
}
