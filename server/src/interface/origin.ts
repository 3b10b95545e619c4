import type { FastifyInstance } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Changes are taken only from our own pages: a browser names the page a request comes from. */
export function checkOrigin(app: FastifyInstance): void {
  app.addHook('onRequest', async (request) => {
    const { origin, host } = request.headers
    if (SAFE.has(request.method) || origin === undefined) return
    if (!URL.canParse(origin) || new URL(origin).host !== host) throw new KobrinProblem('wrong_origin')
  })
}
