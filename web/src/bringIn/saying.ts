import type { GuessReason, RowFault } from '@kobrin/core'
import { t } from './words.ts'

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
    case 'unknown':
      return t('becauseUnknown')
  }
}

/** What is wrong with a row, in words, and what would be right. */
export function sayFault({ problem }: RowFault): string {
  switch (problem.code) {
    case 'nobody':
      return t('faultNobody', { said: problem.said })
    case 'twoOfThatName':
      return t('faultTwo', { count: problem.count, said: problem.said })
    case 'saysNoWho':
      return t('faultNoWho')
    case 'unknownSpecies':
      return t('faultSpecies', { said: problem.said })
    case 'unknownStage':
      return t('faultStage', { said: problem.said, stages: problem.stages.join(', ') })
    case 'whichStage':
      return t('faultWhichStage', { stages: problem.stages.join(', ') })
    case 'unknownPlace':
      return t('faultPlace', { said: problem.said })
    case 'placeTaken':
      return t('faultTaken', { said: problem.said })
    case 'noPlace':
      return t('faultNoPlace')
    case 'noCount':
      return t('faultNoCount')
    case 'numberTaken':
      return t('faultNumber', { said: problem.said, by: problem.by })
    case 'notNumber':
      return t('faultNotNumber', { said: problem.said })
    case 'notDay':
      return t('faultNotDay', { said: problem.said })
    case 'orderUnsaid':
      return t('faultOrder', { said: problem.said })
    case 'toCome':
      return t('faultToCome', { said: problem.said })
    case 'noDay':
      return t('faultNoDay')
    case 'noFood':
      return t('faultNoFood')
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
