import { Problem } from '@kobrin/contract'
import type { Route } from '@kobrin/contract'
import type { FastifySchema } from 'fastify'

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

/** The same where the answer is text joined from stored JSON, which must not be printed again. */
export function schemaOfJoined(route: Route): FastifySchema {
  const { response: _printed, ...schema } = schemaOf(route)
  return schema
}
