import type { Severity } from '../../facts/health/severity.ts'

const RANK = { urgent: 0, act: 1, watch: 2, info: 3 } as const

/** Gravest first; what is equally grave keeps its order. */
export function byGravity(a: { severity: Severity }, b: { severity: Severity }): number {
  return RANK[a.severity] - RANK[b.severity]
}
