import { OffCurve } from '@kobrin/core'
import * as z from 'zod/mini'
import type { Route } from '../route.ts'

/** Growth curves of everybody, fitted by the server beside everything else. */
export const CurvesState = z.strictObject({
  /** Who left its own curve, by resident. */
  off: z.record(z.string(), OffCurve),
  /** So many are still to be fitted. */
  waiting: z.int(),
  /** How many there are. */
  of: z.int(),
})
export type CurvesState = z.infer<typeof CurvesState>

export const CURVE_ROUTES = {
  curves: {
    method: 'GET',
    url: '/api/curves',
    summary: 'Who left its own growth curve, and how many are still to be fitted',
    access: 'readEntries',
    report: true,
    answer: CurvesState,
  },
  fitAnew: {
    method: 'POST',
    url: '/api/curves/fitting',
    summary: 'Fit the curves of everybody anew',
    access: 'editSheets',
  },
  stopFitting: {
    method: 'DELETE',
    url: '/api/curves/fitting',
    summary: 'Stop fitting anew: what is fitted stands, the rest stays as it was',
    access: 'editSheets',
  },
} as const satisfies Record<string, Route>
