import type { Reason } from '@kobrin/core'
import { renewalDays } from '@kobrin/core'
import { words } from './en.ts'
import en from './en/judgedReasons.ts'
import { wordsOf } from './i18n.ts'
import { percent, signed } from './judged.ts'
import { sayGrams, sayGramsAbout, sayMm, sayRangeIn } from './measures.ts'
import { sayDate, sayDay, sayRange, saySeason } from './numbers.ts'
import type { Teller } from './teller.ts'
import { sayAll } from './sayAll.ts'

const t = wordsOf('judgedReasons', en)

type FactReason = Extract<Reason, { fact: string }>
type RuleReason = Extract<Reason, { rule: string }>
type JudgedFact =
  | 'perWeek'
  | 'gained'
  | 'heldUntil'
  | 'habit'
  | 'found'
  | 'forecast'
  | 'intervals'
  | 'scoredBefore'
  | 'ownCurve'
type JudgedRule = 'losing' | 'lossAllowed' | 'plausible' | 'season' | 'growth' | 'boxLength' | 'ownCurve'

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
  intervals: ({ what, days }) =>
    t(what === 'shed' ? 'shedIntervals' : 'moltIntervals', { days: sayAll(days.map(String)) }),
  scoredBefore: ({ score, day }, { today }) => t('scoredBefore', { score, date: sayDate(day, today) }),
  ownCurve: ({ until, on, low, high }, { today }) =>
    t('ownCurve', {
      until: sayDate(until, today),
      on: sayDate(on, today),
      between: sayGramsAbout([low, high]),
    }),
  forecast({ what, last, elapsed, intervals, expected }, { today }) {
    const { lo80, hi80 } = renewalDays(expected, elapsed)
    if (lo80 === null || hi80 === null) return t('forecastOpen', { intervals })
    const on = (days: number) => sayDate(Math.round(last + days), today)
    const when = { from: on(lo80), to: on(hi80) }
    return t('forecast', { intervals, what: t(what === 'shed' ? 'sheds' : 'molts'), ...when })
  },
}

export const JUDGED_RULES: { [R in JudgedRule]: (reason: Extract<RuleReason, { rule: R }>) => string } = {
  losing: ({ actBelowBest, actAWeek }) =>
    t('losingRule', { below: percent(actBelowBest), week: percent(actAWeek) }),
  lossAllowed: ({ share }) => t('lossAllowed', { percent: percent(share) }),
  plausible: ({ low, high }) => t('plausible', { low: sayGrams(low), high: sayGrams(high) }),
  season: ({ season, why }) => t('season', { season: saySeason(season), why }),
  boxLength: ({ part, times, has }) => t('boxLength', { part: words.part[part], times, has: sayMm(has) }),
  ownCurve: ({ days }) => t('ownCurveRule', { days }),
  growth: ({ grown, days }) => t('growth', { grown: sayRangeIn(grown, 'g'), days: sayRange(days) }),
}
