import type { Task } from '@kobrin/core'
import { sayMealOf } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { t } from './words.ts'

/** What stands printed in a cell beside the place for a mark: the meal, or why nothing is to be done. */
export function sayPlanned(tasks: readonly Task[]): string {
  const plans = tasks.map(({ duty, status, hold, offering }) => {
    if (status === 'done') return t('doneAlready')
    if (status === 'held') return t('held', { hold: hold ? words.hold[hold].toLowerCase() : '' })
    if (duty.does !== 'feed') return ''
    return offering ? sayMealOf(duty.label, offering) : (duty.label ?? '')
  })
  return [...new Set(plans.filter((one) => one !== ''))].join('; ')
}
