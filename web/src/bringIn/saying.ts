import type { GuessReason, LikeReason, RowFault, Understood } from '@kobrin/core'
import { sayDate } from '../words/numbers.ts'
import { sayAll } from '../words/sayAll.ts'
import { t } from './words.ts'

interface Choice {
  value: string
  label: string
}

/** What the things of a house are called, where a list asks about them. */
export interface HouseWords {
  today: number
  species: readonly Choice[]
  places: readonly Choice[]
  commonOf: (sheet: string) => string
  stagesOf: (sheet: string) => readonly Choice[]
  stageOf: (sheet: string, stage: string) => string
}

/** Why a column was taken for what it is. */
export function sayReason(reason: GuessReason): string {
  switch (reason.code) {
    case 'header':
      return t('becauseHeader', { word: reason.word })
    case 'unit':
      return reason.from === 'header'
        ? t('becauseUnitHeader', { unit: reason.unit })
        : t('becauseUnitCells', { unit: reason.unit })
    case 'unitAssumed':
      return t('unitAssumed', { unit: reason.unit })
    case 'dateOrder':
      return t('becauseOrder', { example: reason.because })
    case 'dateUnsure':
      return t('orderUnsure', { example: reason.example })
    case 'decimal':
      return t('becauseDecimal', { example: reason.example })
    case 'decimalUnsure':
      return t('decimalUnsure', { example: reason.example })
    case 'dayInHead':
      return t('becauseDayInHead')
    case 'takenAlready':
      return t('becauseTaken')
    case 'cellsLike':
      return t('becauseCells', { example: reason.example })
    case 'unknown':
      return t('becauseUnknown')
  }
}

/** Why a word was taken for a species. */
export function sayLike(reason: LikeReason): string {
  const { name } = reason
  switch (reason.code) {
    case 'name':
      return t('likeName', { name })
    case 'called':
      return t('likeCalled', { name })
    case 'abbreviated':
      return t('likeAbbreviated', { name })
    case 'spelling':
      return t('likeSpelling', { name, count: reason.letters })
    case 'within':
      return t('likeWithin', { name })
    case 'part':
      return t('likePart', { name })
    case 'genus':
      return t('likeGenus', { name })
  }
}

const NAMES_SHOWN = 6

/** Who came so lately that it is kept apart still. */
export function sayLately(lately: Understood['lately'], today: number): string {
  const shown = lately.slice(0, NAMES_SHOWN)
  const names = shown.map(({ who, until }) => t('apartUntil', { name: who, date: sayDate(until, today) }))
  const more = lately.length - shown.length
  return t('cameLately', {
    count: lately.length,
    names: sayAll(more > 0 ? [...names, t('othersToo', { count: more })] : names),
  })
}

/** What is wrong with a row, in words, and what would be right. */
export function sayFault({ problem }: Pick<RowFault, 'problem'>, here: HouseWords): string {
  const stages = (sheet: string) =>
    here
      .stagesOf(sheet)
      .map(({ label }) => label)
      .join(', ')
  switch (problem.code) {
    case 'nobody':
      return t('faultNobody', { said: problem.said })
    case 'twoOfThatName':
      return t('faultTwo', { count: problem.count, said: problem.said })
    case 'saysNoWho':
      return t('faultNoWho')
    case 'headsRows':
      return t('faultHeads', { said: problem.said })
    case 'unknownSpecies':
      return t('faultSpecies', { said: problem.said })
    case 'unknownStage':
      return t('faultStage', { said: problem.said, stages: stages(problem.sheet) })
    case 'whichStage':
      return t('faultWhichStage', { name: here.commonOf(problem.sheet), stages: stages(problem.sheet) })
    case 'unknownPlace':
      return problem.likely.length > 1
        ? t('faultPlaces', { said: problem.said, count: problem.likely.length })
        : t('faultPlace', { said: problem.said })
    case 'placeTaken':
      return t('faultTaken', { said: problem.said })
    case 'noPlace':
      return t('faultNoPlace')
    case 'noCount':
      return t('faultNoCount', { name: here.commonOf(problem.sheet) })
    case 'several':
      return t('faultSeveral', { name: here.commonOf(problem.sheet), count: problem.count })
    default:
      return sayValueFault(problem)
  }
}

type ValueProblem = Exclude<
  RowFault['problem'],
  | {
      code:
        | 'nobody'
        | 'twoOfThatName'
        | 'saysNoWho'
        | 'headsRows'
        | 'several'
        | 'noPlace'
        | 'noCount'
        | 'placeTaken'
    }
  | { code: 'unknownSpecies' | 'unknownStage' | 'whichStage' | 'unknownPlace' }
>

/** What is wrong with a number, a day or a word. */
function sayValueFault(problem: ValueProblem): string {
  switch (problem.code) {
    case 'numberTaken':
      return t('faultNumber', { said: problem.said, by: problem.by })
    case 'notNumber':
      return t('faultNotNumber', { said: problem.said })
    case 'notCount':
      return t('faultNotCount', { said: problem.said })
    case 'signUnsaid':
      return t('faultSign', { said: problem.said })
    case 'notDay':
      return t('faultNotDay', { said: problem.said })
    case 'orderUnsaid':
      return t('faultOrder', { said: problem.said })
    case 'roughDay':
      return t('faultRough', { said: problem.said })
    case 'toCome':
      return t('faultToCome', { said: problem.said })
    case 'noDay':
      return t('faultNoDay')
    case 'unknownWord':
      return t('faultWord', { said: problem.said })
    case 'implausible':
      return t('faultImplausible', {
        said: problem.said,
        low: problem.low,
        high: problem.high,
        unit: problem.unit,
      })
    case 'tooLong':
      return t('faultTooLong', { most: problem.most })
  }
}
