import type { FactKind } from '../subjects/families.ts'
import { FACT_KINDS, kindOf } from '../subjects/families.ts'

/** Kinds of fact that are not known to a page of some earlier revision. */
export function kindsAfter(revision: number): FactKind[] {
  return FACT_KINDS.filter((kind) => (kindOf(kind).since ?? 1) > revision)
}
