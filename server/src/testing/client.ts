import type { Role } from '@kobrin/core'
import { ROUTES } from '@kobrin/contract'
import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from 'fastify'
import { PASSPHRASE } from './smallSite.ts'

export interface Client {
  cookies: Record<string, string>
  call: (options: InjectOptions) => Promise<LightMyRequestResponse>
}

/** A browser as the server sees it: it keeps its cookies. */
export function client(app: FastifyInstance): Client {
  const cookies: Record<string, string> = {}
  return {
    cookies,
    async call(options) {
      const response = await app.inject({ ...options, cookies })
      for (const { name, value } of response.cookies) cookies[name] = value
      return response
    },
  }
}

export async function signedIn(app: FastifyInstance, role: Role): Promise<Client> {
  const one = client(app)
  const body = { login: role, passphrase: PASSPHRASE }
  const response = await one.call({ method: 'POST', url: ROUTES.signIn.url, body })
  if (response.statusCode !== 200) throw new Error(`${role} could not sign in: ${response.body}`)
  return one
}
