import { Problem } from '@kobrin/contract'
import type { Route } from '@kobrin/contract'
import type { FastifySchema, RouteShorthandOptions } from 'fastify'

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

/** Text this long is worth compressing, and quickly is better than thoroughly. */
const COMPRESSION = {
  threshold: 16_384,
  encodings: ['gzip'],
  zlibOptions: { level: 1 },
} satisfies RouteShorthandOptions['compress']

/** Options of a route whose answer is text joined from stored JSON, which must not be printed again.
 * It may be megabytes, and the tablets are on the wireless of a building of thick walls: it is
 * compressed for whoever takes it so. */
export function joinedAnswer(route: Route): Pick<RouteShorthandOptions, 'schema' | 'compress'> {
  const { response: _printed, ...schema } = schemaOf(route)
  return { schema, compress: COMPRESSION }
}
