import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Reason } from '../reasons/reason.ts'

/** What the sheet asks of a rest: also how it is woken. */
export function restRule({ plan }: { plan: Plan }): Reason[] {
  return plan.rest ? [{ rule: 'rest', ...plan.rest }, { source: fromSheet(plan) }] : []
}
