import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fastifyStatic from '@fastify/static'
import type { FastifyInstance, FastifyReply } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'

const YEAR_SECONDS = 31_536_000
/** Files beside the page that a browser asks for by name. */
const NAMED = ['mark.svg', 'icon-192.png', 'icon-512.png', 'manifest.webmanifest', 'serviceWorker.js']
/** Nothing here is for crawlers, and there is no picture but our mark. */
const ROBOTS = 'User-agent: *\nDisallow: /\n'
const NONCE = '%STYLE_NONCE%'

/** The page itself: the one document that may run our scripts, with a policy of its own each time. */
function sendPage(reply: FastifyReply, html: string): FastifyReply {
  reply.helmet()
  const nonce = randomBytes(16).toString('hex')
  const policy = String(reply.getHeader('content-security-policy'))
  reply.header('content-security-policy', policy.replace("style-src 'self'", `$& 'nonce-${nonce}'`))
  return reply
    .type('text/html; charset=utf-8')
    .header('cache-control', 'no-cache')
    .send(html.replaceAll(NONCE, nonce))
}

/** The built interface: files under a name of their content for good; the page itself always fresh, for
 * every address that is not a file, because the router in it knows the rest. */
export async function servePages(app: FastifyInstance, folder: string): Promise<void> {
  const html = readFileSync(join(folder, 'index.html'), 'utf8')
  await app.register(fastifyStatic, {
    root: join(folder, 'assets'),
    prefix: '/assets/',
    index: false,
    dotfiles: 'deny',
    preCompressed: true,
    setHeaders(reply) {
      reply.header('cache-control', `public, max-age=${YEAR_SECONDS}, immutable`)
    },
  })
  for (const name of NAMED)
    app.get(`/${name}`, (_request, reply) => reply.header('cache-control', 'no-cache').sendFile(name, folder))
  app.get('/robots.txt', (_request, reply) => reply.type('text/plain').send(ROBOTS))
  app.get('/favicon.ico', (_request, reply) => reply.redirect('/mark.svg', 301))
  app.get<{ Params: { '*': string } }>('/*', (request, reply) => {
    const path = request.params['*']
    if (/^(api|assets)(\/|$)/.test(path) || path.split('/').at(-1)?.includes('.'))
      throw new KobrinProblem('not_found')
    return sendPage(reply, html)
  })
  app.setNotFoundHandler(() => {
    throw new KobrinProblem('not_found')
  })
}
