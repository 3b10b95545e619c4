import type { AskPreview, ChooseSchool, EndOverride, SetStage, SignOverride } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync, FastifyReply, FastifyRequest } from 'fastify'
import type { z } from 'zod'
import type { Floor } from '../floor.ts'
import { schemaOf } from '../interface/schemaOf.ts'
import type { Author } from './author.ts'
import { chooseSchool, endOverride, setStage, signOverride } from './commands.ts'
import { changesSince, planSources, preview } from './queries.ts'

export function planRoutes({ connection: { db }, guard, hub, authorOn, today }: Floor): FastifyPluginAsync {
  /** Does something to plans and lets every open screen know. */
  const changing =
    (act: (request: FastifyRequest, author: Author) => Promise<void>) =>
    async (request: FastifyRequest, reply: FastifyReply) => {
      await act(request, await authorOn(request))
      hub.siteChanged()
      return reply.status(204).send()
    }

  return async (app) => {
    app.post(
      ROUTES.chooseSchool.url,
      { ...guard(ROUTES.chooseSchool), schema: schemaOf(ROUTES.chooseSchool) },
      changing(({ body }, author) => chooseSchool(db, body as ChooseSchool, author)),
    )
    app.post(
      ROUTES.signOverride.url,
      { ...guard(ROUTES.signOverride), schema: schemaOf(ROUTES.signOverride) },
      changing(({ body }, author) => signOverride(db, body as SignOverride, author)),
    )
    app.post(
      ROUTES.endOverride.url,
      { ...guard(ROUTES.endOverride), schema: schemaOf(ROUTES.endOverride) },
      changing(({ body }, author) => endOverride(db, body as EndOverride, author)),
    )
    app.post(
      ROUTES.setStage.url,
      { ...guard(ROUTES.setStage), schema: schemaOf(ROUTES.setStage) },
      changing(({ params, body }, author) =>
        setStage(db, (params as { residentId: string }).residentId, body as SetStage, author),
      ),
    )
    app.get<{ Params: { residentId: string } }>(
      ROUTES.planSources.url,
      { ...guard(ROUTES.planSources), schema: schemaOf(ROUTES.planSources) },
      async ({ params }) => {
        const { sheet, ...sources } = await planSources(db, params.residentId)
        return { ...sources, sheet: sheet.id }
      },
    )
    app.post<{ Body: z.output<typeof AskPreview> }>(
      ROUTES.preview.url,
      { ...guard(ROUTES.preview), schema: schemaOf(ROUTES.preview) },
      async ({ body }) => preview(db, body, await today()),
    )
    app.get<{ Querystring: { since: number } }>(
      ROUTES.planChanges.url,
      { ...guard(ROUTES.planChanges), schema: schemaOf(ROUTES.planChanges) },
      async ({ query }) => ({ changes: await changesSince(db, query.since) }),
    )
  }
}
