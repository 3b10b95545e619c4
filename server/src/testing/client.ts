import type { Role } from '@kobrin/core'
import { FOLD_REVISION } from '@kobrin/core'
import { REVISION_HEADER, ROUTES } from '@kobrin/contract'
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
      const headers = { [REVISION_HEADER]: String(FOLD_REVISION), ...options.headers }
      const response = await app.inject({ ...options, headers, cookies })
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

/** The header by which a browser is known. */
export function cookieOf({ cookies }: Client): string {
  return Object.entries(cookies)
    .map(([name, value]) => `${name}=${value}`)
    .join('; ')
}

/** Where a server listens. */
export function portOf({ server }: FastifyInstance): number {
  const address = server.address()
  if (typeof address !== 'object' || !address) throw new Error('It does not listen.')
  return address.port
}
