import type { BroughtIn, TakenBack } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync, FastifyRequest } from 'fastify'
import { changing } from '../changes/changing.ts'
import { serve } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import type { Services } from '../services.ts'
import { listsApart } from './apart.ts'
import { broughtLists, fileOfList } from './lists.ts'
import type { ListTask, ListWork } from './workOn.ts'

/** Lists that somebody kept before. They are read, judged and written in a thread of their own. */
export function bringInRoutes(services: Services): FastifyPluginAsync {
  const { authorOn, changingOn, siteZone, now, hub } = services
  const { db, address } = services.connection

  return async (app) => {
    const apart = listsApart()
    app.addHook('onClose', () => apart.close())
    // Read where it is judged: a list of a hundred thousand rows takes seconds to take apart.
    app.removeContentTypeParser('application/json')
    app.addContentTypeParser(
      'application/json',
      { parseAs: 'buffer', bodyLimit: OFFICE_ROUTES.bringIn.bodyBytes },
      async (_request: unknown, body: Buffer) => body,
    )

    async function done<T>(request: FastifyRequest, task: ListTask): Promise<T> {
      const work = {
        address,
        author: await authorOn(request),
        zone: await siteZone(),
        nowMs: now().getTime(),
        who: signedInOn(request),
        ...task,
      } satisfies ListWork
      return (await apart.work(work, hub.wake)) as T
    }

    serve(
      app,
      services,
      OFFICE_ROUTES.bringIn,
      async ({ request }) => {
        const answer = await done<BroughtIn>(request, { do: 'bringIn', text: request.body as Buffer })
        if (answer.list !== undefined) await told(request, answer.list, answer.kept, false)
        return answer
      },
      { validatorCompiler: () => () => true },
    )

    /** The day's handover and the audit say that a list came in, or was taken back. */
    async function told(request: FastifyRequest, list: string, facts: number, back: boolean): Promise<void> {
      const file = await fileOfList(db, list)
      const what = { kind: 'broughtIn', file, facts, ...(back && { back }) } as const
      await changing(await changingOn(request), async () => ({
        changes: [{ what, reason: '' }],
        answer: null,
      }))
    }

    serve(app, services, OFFICE_ROUTES.broughtLists, () => {
      apart.warm()
      return broughtLists(db)
    })
    await app.register(async (forms) => {
      forms.removeContentTypeParser('application/json')
      forms.addContentTypeParser(
        'application/json',
        { parseAs: 'string' },
        forms.getDefaultJsonParser('error', 'error'),
      )
      serve(forms, services, OFFICE_ROUTES.takeListBack, async ({ params, body, request }) => {
        const answer = await done<TakenBack>(request, { do: 'takeBack', list: params.id, why: body.why })
        if (answer.facts > 0) await told(request, params.id, answer.facts, true)
        return answer
      })
    })
  }
}
