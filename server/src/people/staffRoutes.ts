import type { UseCode } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync, FastifyRequest } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import {
  addPerson,
  choosePassphrase,
  choosePin,
  chooseUnits,
  giveCode,
  keepPerson,
  letBack,
  letGo,
  useCode,
} from './commands.ts'
import { signedInOn } from './guard.ts'
import { byId, byLogin, isCodeOf, staffLines } from './queries.ts'

/** Who works here and what they may do; and what everybody keeps of their own. */
export function staffRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
    sessions,
    door,
    guesses,
    changingOn,
    changingBy,
    now,
  } = services

  /** The caller, once their passphrase was right: a screen that was left open is not them. */
  async function provenOn(request: FastifyRequest, secret: string) {
    const { person, device, token } = signedInOn(request)
    const found = await byId(db, person.id)
    const hash = found?.passphraseHash
    const right = await door.admitted(request, { by: 'passphrase', found, hash, secret, device })
    if (!right) throw new KobrinProblem('not_your_passphrase')
    return { person: person.id, token }
  }

  /** Anyone who was given this code, once it is used up and they have a passphrase. */
  async function provenByCode({ login, code, passphrase }: UseCode, address: string) {
    const found = await byLogin(db, login)
    const at = now().toISOString()
    const person = await guesses.judged(
      { by: 'passphrase', personId: found?.id ?? null, device: null, address },
      async () => (found && (await isCodeOf(db, found.id, { code, at })) ? found : null),
    )
    if (!person) throw new KobrinProblem('wrong_code')
    await useCode(await changingBy(person.id), { person: person.id, code, passphrase })
    sessions.doubt()
    return person
  }

  return async (app) => {
    serve(app, services, OFFICE_ROUTES.useCode, async ({ body, request, reply }) =>
      door.comeIn(request, reply, await provenByCode(body, request.ip)),
    )

    serve(app, services, OFFICE_ROUTES.staff, async () => ({
      people: await staffLines(db, now().toISOString()),
    }))

    serve(app, services, OFFICE_ROUTES.addPerson, async ({ body, request }) =>
      addPerson(await changingOn(request), body),
    )

    serve(app, services, OFFICE_ROUTES.keepPerson, async ({ params, body, request }) => {
      await keepPerson(await changingOn(request), params.id, body)
      sessions.doubt()
    })

    serve(app, services, OFFICE_ROUTES.giveCode, async ({ params, request }) =>
      giveCode(await changingOn(request), params.id),
    )

    serve(app, services, OFFICE_ROUTES.letGo, async ({ params, request }) => {
      await letGo(await changingOn(request), params.id)
      sessions.doubt()
    })

    serve(app, services, OFFICE_ROUTES.letBack, async ({ params, request }) => {
      await letBack(await changingOn(request), params.id)
    })

    serve(app, services, OFFICE_ROUTES.choosePin, async ({ body: { passphrase, pin }, request }) => {
      const { person } = await provenOn(request, passphrase)
      await choosePin(await changingOn(request), person, pin)
    })

    serve(app, services, OFFICE_ROUTES.chooseUnits, async ({ body: { units }, request }) => {
      await chooseUnits(await changingOn(request), signedInOn(request).person.id, units)
      sessions.doubt()
    })

    serve(app, services, OFFICE_ROUTES.choosePassphrase, async ({ body: { passphrase, next }, request }) => {
      const proven = await provenOn(request, passphrase)
      await choosePassphrase(await changingOn(request), { ...proven, passphrase: next })
      sessions.doubt()
    })
  }
}
