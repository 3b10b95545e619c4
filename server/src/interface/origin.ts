import type { FastifyInstance } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

/** The name in a host header, without its port. */
function nameOf(host: string): string {
  return host.toLowerCase().replace(/:\d+$/, '')
}

/** Answers only to its own names: a name that somebody else points at this machine is not one of them. */
export function checkHost(app: FastifyInstance, hosts: readonly string[]): void {
  const known = new Set(hosts.map((host) => host.toLowerCase()))
  app.addHook('onRequest', async ({ headers: { host } }) => {
    if (host === undefined || !known.has(nameOf(host))) throw new KobrinProblem('wrong_host')
  })
}

/** Takes changes only from our own pages, and gives answers only to them: a browser names the page a
 * request comes from, and how far away that is. */
export function checkOrigin(app: FastifyInstance): void {
  app.addHook('onRequest', async (request) => {
    const { origin, host, 'sec-fetch-site': from } = request.headers
    const ours = from === undefined || from === 'same-origin' || from === 'none'
    if (!ours && (request.url.startsWith('/api') || !SAFE.has(request.method)))
      throw new KobrinProblem('wrong_origin')
    if (SAFE.has(request.method) || origin === undefined) return
    if (!URL.canParse(origin) || new URL(origin).host !== host) throw new KobrinProblem('wrong_origin')
  })
}
