import type { ExplainedBy, Verdict } from '@kobrin/core'
import { words } from './en.ts'
import explained from './en/explained.ts'
import en from './en/judged.ts'
import { tablesOf, wordsOf } from './i18n.ts'
import { sayGrams } from './measures.ts'
import { sayDate } from './numbers.ts'

const t = wordsOf('judged', en)
const by = tablesOf('explained', explained)

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
      | 'otherPrey'
      | 'outgrows'
      | 'crowded'
      | 'grewAtMolt'
      | 'longerIntervals'
      | 'firstWeight'
      | 'offItsCurve'
  }
>

function isHold(what: ExplainedBy): what is keyof typeof words.hold {
  return what in words.hold
}

export function sayExplained(what: ExplainedBy): string {
  return isHold(what) ? words.hold[what].toLowerCase() : by[what]
}

/** Per cent, with one place where the number is small. */
export function percent(share: number): number {
  const value = Math.abs(share) * 100
  return value < 10 ? Math.round(value * 10) / 10 : Math.round(value)
}

export function signed(share: number): string {
  const value = percent(share)
  return value === 0 ? '0' : `${share < 0 ? '−' : '+'}${value}`
}

function sayLosing(what: Extract<Judged, { code: 'losing' }>): string {
  const below = percent(what.belowBest)
  if (what.explainedBy === 'winterRest') return t('losingInRest', { below })
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

function sayCrowded({ animals, range, room, by }: Extract<Judged, { code: 'crowded' }>): string {
  const many = range ? t('aboutSoMany', { low: range[0], high: range[1] }) : String(animals)
  return by === 'start' ? t('tooFewToStart', { many, room }) : t('crowded', { many, room })
}

/** The headline of what the record judges. */
export function sayJudged(what: Judged, today: number): string {
  switch (what.code) {
    case 'losing':
      return sayLosing(what)
    case 'lossExplained':
      return t('lossExplained', { below: percent(what.lost), explained: sayExplained(what.explainedBy) })
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
      return t('signTooLong', { stage: words.stage[what.stage], count: what.days })
    case 'ecdysisOverdue':
      return t(what.what === 'shed' ? 'shedOverdue' : 'moltOverdue', { count: what.days })
    case 'ecdysisExpected':
      return t(what.what === 'shed' ? 'shedExpected' : 'moltExpected')
    case 'limbsLost':
      return t('limbsLost', { count: what.count })
    case 'unseen':
      return sayUnseen(what)
    case 'otherPrey':
      return what.on <= today
        ? t('otherPreyNow', { item: what.item, to: what.to, from: what.from })
        : t('otherPrey', { item: what.item, to: what.to, date: sayDate(what.on, today) })
    case 'outgrows':
      return what.on === null
        ? t('outgrowsNotBefore', { from: sayDate(what.from, today) })
        : t('outgrows', { on: sayDate(what.on, today) })
    case 'crowded':
      return sayCrowded(what)
    case 'grewAtMolt':
      return t('grewAtMolt', { part: words.part[what.part], percent: signed(what.share) })
    case 'longerIntervals':
      return t('longerIntervals', { percent: percent(what.share) })
    case 'firstWeight':
      return t('firstWeight', { grams: sayGrams(what.grams) })
    case 'offItsCurve':
      return t(what.below ? 'belowItsCurve' : 'aboveItsCurve', { grams: sayGrams(what.grams) })
  }
}
