import type { BatchAnswer } from '@kobrin/contract'
import { EntryEnvelope, readBookmark, ROUTES, sayBookmark } from '@kobrin/contract'
import type { Entry, FamilyName } from '@kobrin/core'
import { readableBy } from '@kobrin/core'
import { eq } from 'drizzle-orm'
import type { FastifyPluginAsync, FastifyRequest } from 'fastify'
import { validatorCompiler } from 'fastify-type-provider-zod'
import { KobrinProblem } from '../errors/problem.ts'
import { feedAfter } from '../feed/rows.ts'
import { serve, serveText } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import { roleOf } from '../people/queries.ts'
import type { Services } from '../services.ts'
import { headOf } from '../streams/ownStream.ts'
import type { PostingContext } from './posted.ts'
import { checked, isReceipt } from './posted.ts'
import { familyOfSubject, statesJson, toldOf, toldOfAct, toldSubjects } from './queries.ts'
import { entriesJson } from './rows.ts'
import { entry } from './tables.ts'

const PAGE = 1000
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

function familiesFor(request: FastifyRequest): FamilyName[] {
  return readableBy(signedInOn(request).person.role)
}

export function entryRoutes(services: Services): FastifyPluginAsync {
  const { connection, appender, sessions, now, siteZone } = services
  const { db, pool } = connection

  async function authorOf(uid: string): Promise<string | null> {
    const [row] = await db.select({ author: entry.authorId }).from(entry).where(eq(entry.uid, uid))
    return row?.author ?? null
  }

  async function append(batch: EntryEnvelope, request: FastifyRequest): Promise<BatchAnswer> {
    const context: PostingContext = {
      who: signedInOn(request),
      zone: await siteZone(),
      nowMs: now().getTime(),
      proofs: batch.proofs ?? {},
      shift: (id) => sessions.shift(id),
      authorOf,
      roleOf: (id) => roleOf(db, id),
    }
    const results = []
    for (const posted of batch.entries) results.push(await checked(posted, context))
    const good = results.filter((result): result is Entry => !isReceipt(result))
    const kept = good.length > 0 ? await appender.append(good) : []
    return { receipts: results.flatMap((result) => (isReceipt(result) ? result : (kept.shift() ?? []))) }
  }

  return async (app) => {
    serve(
      app,
      services,
      ROUTES.append,
      // The documented schema says what an entry may be; here only the envelope is checked, because
      // `checked` judges each entry for itself.
      ({ body, request }) => append(body, request),
      {
        validatorCompiler: (part) => validatorCompiler({ ...part, schema: EntryEnvelope }),
        serializerCompiler: () => JSON.stringify,
      },
    )
    serveText(app, services, ROUTES.since, async ({ query, request }) => {
      const families = familiesFor(request)
      const rows = await feedAfter(db, readBookmark(query.after) ?? {}, PAGE)
      const told = rows
        .filter(({ of }) => of !== 'change' && families.includes(of))
        .map((row) => Buffer.from(row.told))
      return entriesJson(told)
    })
    serveText(app, services, ROUTES.record, async ({ params, request }) => {
      const told = await toldOf(pool, params.subject, familiesFor(request))
      if (told.length === 0) {
        const family = await familyOfSubject(db, params.subject)
        if (family === null || !familiesFor(request).includes(family))
          throw new KobrinProblem('unknown_subject')
      }
      return entriesJson(told)
    })
    serveText(app, services, ROUTES.act, async ({ params, request }) =>
      entriesJson(await toldOfAct(pool, params.act, familiesFor(request))),
    )
    serveText(app, services, ROUTES.states, async ({ query, request }) => {
      const of = query.of?.split(',').filter((id) => UUID.test(id))
      // The head first: states may then be ahead of it, never behind, and each says how far it is.
      const head = sayBookmark(await headOf(db))
      const rows = of?.length === 0 ? [] : await toldSubjects(db, familiesFor(request), of)
      return statesJson(head, now().getTime(), rows)
    })
  }
}
