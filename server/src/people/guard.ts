import type { Route } from '@kobrin/contract'
import { may } from '@kobrin/contract'
import type { FastifyRequest, onRequestAsyncHookHandler } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import type { Sessions, SignedIn } from './sessions.ts'

// Only this host can set a cookie of such a name, for all of its paths.
export const SESSION_COOKIE = '__Host-kobrin_session'
export const DEVICE_COOKIE = '__Host-kobrin_device'

declare module 'fastify' {
  interface FastifyRequest {
    signedIn: SignedIn | null
  }
}

/** Who is signed in. Only for routes behind a guard that asks for it. */
export function signedInOn(request: FastifyRequest): SignedIn {
  if (!request.signedIn) throw new KobrinProblem('not_signed_in')
  return request.signedIn
}

/** Lets a request through when the person signed in may do what the route table says. Before anything of
 * its body is read: strangers cost nothing. */
export function createGuard(
  sessions: Sessions,
): (route: Pick<Route, 'access'>) => { onRequest: onRequestAsyncHookHandler } {
  return ({ access }) => ({
    onRequest: async (request) => {
      const token = request.cookies[SESSION_COOKIE]
      request.signedIn = token ? await sessions.find(token) : null
      if (access === 'anyone') return
      const { person } = signedInOn(request)
      if (access !== 'signedIn' && !may(person.role, access)) throw new KobrinProblem('not_allowed')
    },
  })
}
