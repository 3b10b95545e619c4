import { timingSafeEqual } from 'node:crypto'
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { serve } from '../interface/serve.ts'
import { hashed } from '../people/token.ts'
import type { Services } from '../services.ts'
import { houseName, setUp } from './firstRun.ts'

function isSame(one: string, other: string): boolean {
  return timingSafeEqual(Buffer.from(hashed(one)), Buffer.from(hashed(other)))
}

/** How a house begins: once, by the person who can read what was shown where it was started. */
export function setUpRoutes({ firstCode, ...services }: Services): FastifyPluginAsync {
  const {
    connection: { db },
    door,
    guesses,
    now,
    stream,
    hub,
  } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.setUpState, async () => ({ isEmpty: (await houseName(db)) === null }))

    serve(app, services, OFFICE_ROUTES.setUp, async ({ body: { code, ...given }, request, reply }) => {
      if ((await houseName(db)) !== null) throw new KobrinProblem('set_up_already')
      const guess = { by: 'passphrase', personId: null, device: null, address: request.ip } as const
      const isRight = await guesses.judged(guess, async () =>
        firstCode !== null && isSame(code, firstCode) ? true : null,
      )
      if (!isRight) throw new KobrinProblem('wrong_code')
      const person = await setUp({ db, stream, onChanged: hub.wake }, given, now())
      return door.comeIn(request, reply, person)
    })
  }
}
