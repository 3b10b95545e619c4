import type { ServerResponse } from 'node:http'
import type { FastifyReply, FastifyRequest } from 'fastify'

/** Begins to answer with events for as long as somebody listens. */
export function openEvents(request: FastifyRequest, reply: FastifyReply): ServerResponse {
  reply.hijack()
  const out = reply.raw
  out.on('error', (error) => request.log.debug({ err: error }, 'events broken off'))
  out.writeHead(200, {
    'content-type': 'text/event-stream',
    'cache-control': 'no-store',
    'x-accel-buffering': 'no',
  })
  out.write('retry: 1000\n')
  return out
}
