import type { BatchAnswer } from '@kobrin/contract'
import { EntryEnvelope, ROUTES } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { eq } from 'drizzle-orm'
import type { FastifyPluginAsync, FastifyRequest } from 'fastify'
import { validatorCompiler } from 'fastify-type-provider-zod'
import { serve } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import { roleOf } from '../people/queries.ts'
import type { Services } from '../services.ts'
import type { PostingContext } from './posted.ts'
import { checked, isReceipt } from './posted.ts'
import { entry } from './tables.ts'

/** Appending to the record. */
export function entryRoutes(services: Services): FastifyPluginAsync {
  const { connection, appender, sessions, now, siteZone } = services
  const { db } = connection

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
  }
}
