import type { DroppingsKind, Role, Severity, Trigger, WeightContext } from '@kobrin/core'
import en from './en/terms.ts'
import { tablesOf } from './i18n.ts'

/** Words of the vocabulary that the walk's first screen does without. */
export const terms = tablesOf(
  'terms',
  en satisfies {
    context: Record<WeightContext, string>
    droppings: Record<DroppingsKind, string>
    trigger: Record<Trigger, string>
    severity: Record<Severity, string>
    role: Record<Role, string>
  },
)
