import type { BatchAnswer } from '@kobrin/contract'
import { EntryBatch, EntryEnvelope, ROUTES } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { FastifyPluginAsync, FastifyRequest } from 'fastify'
import { validatorCompiler } from 'fastify-type-provider-zod'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { checked, isReceipt } from './posted.ts'
import { postingOn } from './postingOn.ts'

/** Appending to the record. */
export function entryRoutes(services: Services): FastifyPluginAsync {
  const { appender } = services

  async function append(batch: EntryEnvelope, request: FastifyRequest): Promise<BatchAnswer> {
    const context = await postingOn(services, request, batch.proofs)
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
      { ...ROUTES.append, body: EntryBatch },
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
