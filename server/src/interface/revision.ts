import { REVISION_HEADER } from '@kobrin/contract'
import { kindsAfter, UNSAID_REVISION } from '@kobrin/core'
import type { FastifyRequest } from 'fastify'

/** Up to which revision the caller knows folds and kinds of fact. */
export function revisionOf(request: FastifyRequest): number {
  const { revision } = request.query as { revision?: number }
  const said = Number(revision ?? request.headers[REVISION_HEADER])
  return Number.isInteger(said) && said > 0 ? said : UNSAID_REVISION
}

/** Kinds of fact that the caller would not know what to do with. */
export function hiddenFrom(request: FastifyRequest): ReadonlySet<string> {
  return new Set(kindsAfter(revisionOf(request)))
}
