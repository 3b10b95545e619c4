import type { BatchAnswer, Receipt } from '@kobrin/contract'
import { EntryEnvelope, ROUTES } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { eq } from 'drizzle-orm'
import type { FastifyPluginAsync, FastifyReply } from 'fastify'
import { validatorCompiler } from 'fastify-type-provider-zod'
import { KobrinProblem } from '../errors/problem.ts'
import type { Floor } from '../floor.ts'
import { schemaOf, joinedAnswer } from '../interface/schemaOf.ts'
import { signedInOn } from '../people/guard.ts'
import { roleOf } from '../people/queries.ts'
import { enclosureExists } from '../site/queries.ts'
import type { PostingContext } from './posted.ts'
import { checked, isReceipt } from './posted.ts'
import { hasRecord, headOf, stateRows, statesJson, toldAfter, toldOf } from './queries.ts'
import { entriesJson } from './rows.ts'
import { entry } from './tables.ts'

const PAGE = 1000
const JSON_TYPE = 'application/json; charset=utf-8'
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

/** Sends joined text, as bytes: a long string would be copied twice more on its way out. */
function sendJson(reply: FastifyReply, text: Buffer): FastifyReply {
  return reply.type(JSON_TYPE).send(text)
}

export function entryRoutes({
  connection: { db, pool },
  appender,
  sessions,
  guard,
  now,
  siteZone,
}: Floor): FastifyPluginAsync {
  async function authorOf(uid: string): Promise<string | null> {
    const [row] = await db.select({ author: entry.authorId }).from(entry).where(eq(entry.uid, uid))
    return row?.author ?? null
  }

  return async (app) => {
    app.post<{ Body: { entries: { uid: string }[] } }>(
      ROUTES.append.url,
      // The documented schema says what an entry may be; here only the envelope is checked, because
      // `checked` judges each entry for itself.
      {
        ...guard(ROUTES.append),
        schema: schemaOf(ROUTES.append),
        validatorCompiler: (part) => validatorCompiler({ ...part, schema: EntryEnvelope }),
        serializerCompiler: () => JSON.stringify,
      },
      async (request): Promise<BatchAnswer> => {
        const who = signedInOn(request)
        const context: PostingContext = {
          who,
          zone: await siteZone(),
          nowMs: now().getTime(),
          wasHere: (personId, at) => sessions.wasHere(personId, who.device.id, at),
          authorOf,
          enclosureExists: (id) => enclosureExists(db, id),
          roleOf: (id) => roleOf(db, id),
        }
        const results: (Entry | Receipt)[] = []
        for (const posted of request.body.entries) results.push(await checked(posted, context))
        const good = results.filter((result): result is Entry => !isReceipt(result))
        const kept = good.length > 0 ? await appender.append(good) : []
        return { receipts: results.flatMap((result) => (isReceipt(result) ? result : (kept.shift() ?? []))) }
      },
    )

    app.get<{ Querystring: { after: number } }>(
      ROUTES.since.url,
      { ...guard(ROUTES.since), ...joinedAnswer(ROUTES.since) },
      async (request, reply) => {
        return sendJson(reply, entriesJson(await toldAfter(pool, request.query.after, PAGE)))
      },
    )

    app.get<{ Params: { residentId: string } }>(
      ROUTES.record.url,
      { ...guard(ROUTES.record), ...joinedAnswer(ROUTES.record) },
      async (request, reply) => {
        const { residentId } = request.params
        const told = await toldOf(pool, residentId)
        if (told.length === 0 && !(await hasRecord(db, residentId)))
          throw new KobrinProblem('unknown_resident')
        return sendJson(reply, entriesJson(told))
      },
    )

    app.get<{ Querystring: { of?: string } }>(
      ROUTES.states.url,
      { ...guard(ROUTES.states), ...joinedAnswer(ROUTES.states) },
      async (request, reply) => {
        const of = request.query.of?.split(',').filter((id) => UUID.test(id))
        // The head first: states may then be ahead of it, never behind, and each says how far it is.
        const head = await headOf(db)
        const rows = of?.length === 0 ? [] : await stateRows(db, of)
        return sendJson(reply, statesJson(head, rows))
      },
    )
  }
}
