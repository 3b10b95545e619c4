import { readBookmark, ROUTES, sayBookmark } from '@kobrin/contract'
import type { FamilyName } from '@kobrin/core'
import { readableBy } from '@kobrin/core'
import type { FastifyPluginAsync, FastifyRequest } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { feedAfter } from '../feed/rows.ts'
import { hiddenFrom, revisionOf } from '../interface/revision.ts'
import { serve, serveText } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import type { Services } from '../services.ts'
import { headOf } from '../streams/ownStream.ts'
import type { Readable } from './queries.ts'
import {
  entriesOf,
  entriesOfAct,
  entriesOfDay,
  familyOfSubject,
  foldTeller,
  statesJson,
  subjectsAsked,
} from './queries.ts'
import { entriesJson } from './rows.ts'
import { tracedOf } from './traced.ts'

const PAGE = 1000
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

function familiesFor(request: FastifyRequest): FamilyName[] {
  return readableBy(signedInOn(request).person.role)
}

/** What of the record can be handed to the caller. */
function readableFor(request: FastifyRequest): Readable {
  return { families: familiesFor(request), hidden: [...hiddenFrom(request)] }
}

/** Reading the record: entries and what they add up to, of the families the caller may read. */
export function readingRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db, pool },
    now,
  } = services

  async function mayRead(request: FastifyRequest, subject: string): Promise<void> {
    const family = await familyOfSubject(db, subject)
    if (family === null || !familiesFor(request).includes(family)) throw new KobrinProblem('unknown_subject')
  }

  return async (app) => {
    serveText(app, services, ROUTES.since, async ({ query, request }) => {
      const families = familiesFor(request)
      const rows = await feedAfter(db, readBookmark(query.after) ?? {}, PAGE)
      const hidden = hiddenFrom(request)
      const entries = rows
        .filter(({ of, kind }) => of !== 'change' && families.includes(of) && !hidden.has(kind))
        .map((row) => Buffer.from(row.json))
      return entriesJson(entries)
    })
    serveText(app, services, ROUTES.record, async ({ params, request }) => {
      const entries = await entriesOf(pool, params.subject, readableFor(request))
      if (entries.length === 0) await mayRead(request, params.subject)
      return entriesJson(entries)
    })
    serve(app, services, ROUTES.traced, async ({ params, request }) => {
      await mayRead(request, params.subject)
      return { touches: await tracedOf(db, params.subject, familiesFor(request)) }
    })
    serveText(app, services, ROUTES.ofDay, async ({ params, request }) =>
      entriesJson(await entriesOfDay(pool, params.day, readableFor(request))),
    )
    serveText(app, services, ROUTES.act, async ({ params, request }) =>
      entriesJson(await entriesOfAct(pool, params.act, readableFor(request))),
    )
    serveText(app, services, ROUTES.states, async ({ query, request }) => {
      const of = query.of?.split(',').filter((id) => UUID.test(id))
      // The head first: states may then be ahead of it, never behind, and each says how far it is.
      const head = sayBookmark(await headOf(db))
      const nowMs = now().getTime()
      const rows = await subjectsAsked(db, familiesFor(request), { of, held: query.held, nowMs })
      const foldOf = await foldTeller(db, revisionOf(request))
      return statesJson({ head, nowMs, foldOf }, rows)
    })
  }
}
