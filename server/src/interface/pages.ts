import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import fastifyStatic from '@fastify/static'
import type { FastifyInstance } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'

const YEAR_SECONDS = 31_536_000

/** The built interface: files under a name of their content for good, the page itself always anew
 * and for every address that is not a file, because the router in it knows the rest. */
export async function servePages(app: FastifyInstance, folder: string): Promise<void> {
  const page = join(folder, 'index.html')
  await app.register(fastifyStatic, {
    root: folder,
    index: false,
    preCompressed: true,
    setHeaders: (reply, path) => {
      reply.header(
        'cache-control',
        path.includes('/assets/') ? `public, max-age=${YEAR_SECONDS}, immutable` : 'no-cache',
      )
    },
  })
  app.setNotFoundHandler((request, reply) => {
    if (/^\/(api|assets)\b/.test(request.url) || request.method !== 'GET' || !existsSync(page)) {
      throw new KobrinProblem('not_found')
    }
    reply.helmet()
    const nonce = randomBytes(16).toString('hex')
    const policy = String(reply.getHeader('content-security-policy'))
    reply.header('content-security-policy', policy.replace("style-src 'self'", `$& 'nonce-${nonce}'`))
    const html = readFileSync(page, 'utf8').replace('%STYLE_NONCE%', nonce)
    return reply.type('text/html; charset=utf-8').header('cache-control', 'no-cache').send(html)
  })
}
