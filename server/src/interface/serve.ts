import type { Answer, Given, Route } from '@kobrin/contract'
import { Problem } from '@kobrin/contract'
import type {
  FastifyInstance,
  FastifyReply,
  FastifyRequest,
  FastifySchema,
  RouteShorthandOptions,
} from 'fastify'
import type { Services } from '../services.ts'

/** What a handler ends with: a route without an answer is not asked for one. */
type Handled<R extends Route> = R['answer'] extends object ? Answer<R> : unknown

/** What a handler is handed: the parts the table says, validated. */
export interface Call<R extends Route> {
  params: Given<R, 'params'>
  query: Given<R, 'querystring'>
  body: Given<R, 'body'>
  request: FastifyRequest
  reply: FastifyReply
}

/** Text this long is worth compressing, and quickly is better than thoroughly. */
const COMPRESSION = {
  threshold: 16_384,
  encodings: ['gzip'],
  zlibOptions: { level: 1 },
} satisfies RouteShorthandOptions['compress']

/** The validation and documentation of a route, from the table. */
export function schemaOf(route: Route): FastifySchema {
  return {
    summary: route.summary,
    ...(route.params && { params: route.params }),
    ...(route.querystring && { querystring: route.querystring }),
    ...(route.body && { body: route.body }),
    ...(route.answer && { response: { 200: route.answer, default: Problem } }),
  }
}

/** Hands the parts of a request to what answers it; a report when it is its turn. */
function handled<R extends Route, T>(
  { reports }: Pick<Services, 'reports'>,
  route: R,
  handle: (call: Call<R>) => Promise<T>,
): (request: FastifyRequest, reply: FastifyReply) => Promise<T> {
  return (request, reply) => {
    const { params, query, body } = request as FastifyRequest & Pick<Call<R>, 'params' | 'query' | 'body'>
    const answered = () => handle({ params, query, body, request, reply })
    if (route.report) return reports.inTurn(answered)
    return route.method === 'GET' ? answered() : reports.first(answered)
  }
}

/** Serves a route of the table: who may use it, what goes in and what comes out are said there. A route
 * without an answer answers nothing. */
export function serve<R extends Route>(
  app: FastifyInstance,
  services: Pick<Services, 'guard' | 'reports'>,
  route: R,
  handle: (call: Call<R>) => Promise<Handled<R>>,
  options: RouteShorthandOptions = {},
): void {
  const answered = handled(services, route, handle)
  app.route({
    method: route.method,
    url: route.url,
    schema: schemaOf(route),
    ...(route.bodyBytes !== undefined && { bodyLimit: route.bodyBytes }),
    ...services.guard(route),
    ...options,
    handler: async (request, reply) => {
      const answer = await answered(request, reply)
      if (route.answer) return answer
      return reply.status(204).send()
    },
  })
}

/** Serves a route whose answer is text that is ready to be sent and must not be printed again. It may be
 * megabytes, and the tablets are on the wireless of a building of thick walls: it is compressed for
 * anyone who takes it so. */
export function serveText<R extends Route>(
  app: FastifyInstance,
  services: Pick<Services, 'guard' | 'reports'>,
  route: R,
  handle: (call: Call<R>) => Promise<Buffer | null>,
): void {
  const answered = handled(services, route, handle)
  const { response: _printed, ...schema } = schemaOf(route)
  app.route({
    method: route.method,
    url: route.url,
    schema,
    compress: COMPRESSION,
    ...services.guard(route),
    handler: async (request, reply) => {
      const text = await answered(request, reply)
      if (text === null) return reply.status(304).send()
      return reply.type('application/json; charset=utf-8').send(text)
    },
  })
}
