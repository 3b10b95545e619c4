import type { Plan } from '../plan/plan.ts'
import { fromSheet } from '../plan/source.ts'
import type { Reason } from '../reasons/reason.ts'

/** What the sheet asks of a rest: also how it is woken. */
export function restRule({ plan }: { plan: Plan }): Reason[] {
  return plan.rest ? [{ rule: 'rest', ...plan.rest }, { source: fromSheet(plan) }] : []
}
