import { ApiProblem, Unreachable } from '../api/call.ts'
import type { Hope } from './deliver.ts'

const RETRY_LATER = new Set([401, 408, 429, 502, 503, 504])

/** Can the same request succeed later, or under another sign-in? */
export function hopeFor(error: unknown): Hope {
  if (error instanceof Unreachable) return 'later'
  if (!(error instanceof ApiProblem)) return 'perhaps'
  if (RETRY_LATER.has(error.status)) return 'later'
  return error.status >= 500 ? 'perhaps' : 'never'
}
