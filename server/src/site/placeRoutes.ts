import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { furnish, pastOf } from './furnish.ts'
import { keepHouse, readHouse } from './house.ts'
import { addBay, addRoom, dropBay, dropRoom, keepRoom, putBay, putRoom } from './rooms.ts'

/** The building: rooms in walking order, their bays, and what stands in them. */
export function placeRoutes(services: Services): FastifyPluginAsync {
  const { changingOn } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.house, () => readHouse(services.connection.db))
    serve(app, services, OFFICE_ROUTES.keepHouse, async ({ body, request }) => {
      await keepHouse(await changingOn(request), body)
    })
    serve(app, services, OFFICE_ROUTES.addRoom, async ({ body, request }) =>
      addRoom(await changingOn(request), body),
    )
    serve(app, services, OFFICE_ROUTES.keepRoom, async ({ params: { id }, body, request }) => {
      await keepRoom(await changingOn(request), id, body)
    })
    serve(app, services, OFFICE_ROUTES.putRoom, async ({ params: { id }, body: { at }, request }) => {
      await putRoom(await changingOn(request), id, at)
    })
    serve(app, services, OFFICE_ROUTES.dropRoom, async ({ params: { id }, request }) => {
      await dropRoom(await changingOn(request), id)
    })
    serve(app, services, OFFICE_ROUTES.addBay, async ({ params: { id }, body, request }) =>
      addBay(await changingOn(request), id, body),
    )
    serve(app, services, OFFICE_ROUTES.keepBay, async ({ params: { id }, body, request }) => {
      await furnish(await changingOn(request), id, body)
    })
    serve(app, services, OFFICE_ROUTES.pastOfBay, async ({ params: { id } }) => ({
      past: await pastOf(services.connection.db, id),
    }))
    serve(app, services, OFFICE_ROUTES.putBay, async ({ params: { id }, body: { at }, request }) => {
      await putBay(await changingOn(request), id, at)
    })
    serve(app, services, OFFICE_ROUTES.dropBay, async ({ params: { id }, request }) => {
      await dropBay(await changingOn(request), id)
    })
  }
}
