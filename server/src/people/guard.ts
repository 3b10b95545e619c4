import type { Route } from '@kobrin/contract'
import { may } from '@kobrin/contract'
import type { FastifyRequest, preHandlerAsyncHookHandler } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import type { Sessions, SignedIn } from './sessions.ts'

export const SESSION_COOKIE = 'kobrin_session'
export const DEVICE_COOKIE = 'kobrin_device'

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

/** Lets a request through when the person signed in may do what the route table says. */
export function createGuard(
  sessions: Sessions,
): (route: Route) => { preHandler: preHandlerAsyncHookHandler } {
  return ({ access }) => ({
    preHandler: async (request) => {
      const token = request.cookies[SESSION_COOKIE]
      request.signedIn = token ? await sessions.find(token) : null
      if (access === 'anyone') return
      const { person } = signedInOn(request)
      if (access !== 'signedIn' && !may(person.role, access)) throw new KobrinProblem('not_allowed')
    },
  })
}
