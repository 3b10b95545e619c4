import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { COOKIE, meOf } from './door.ts'
import { SESSION_COOKIE, signedInOn } from './guard.ts'
import { byId, byLogin, withPin } from './queries.ts'

export function peopleRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
    devices,
    sessions,
    door: { knownDevice, admitted, takeOver, comeIn },
  } = services
  return async (app) => {
    serve(app, services, ROUTES.signIn, async ({ body: { login, passphrase }, request, reply }) => {
      const found = await byLogin(db, login)
      const known = await knownDevice(request)
      const person = await admitted(request, {
        by: 'passphrase',
        found,
        hash: found?.passphraseHash,
        secret: passphrase,
        device: known?.device ?? null,
      })
      if (!person) throw new KobrinProblem('wrong_passphrase')
      return comeIn(request, reply, person)
    })

    serve(app, services, ROUTES.switchPerson, async ({ body: { personId, pin }, request, reply }) => {
      const device = (await knownDevice(request))?.device
      if (!device?.enrolled) throw new KobrinProblem('device_not_enrolled')
      const found = await byId(db, personId)
      const person = await admitted(request, { by: 'pin', found, hash: found?.pinHash, secret: pin, device })
      if (!person) throw new KobrinProblem('wrong_pin')
      return takeOver(request, reply, person, device)
    })

    serve(app, services, ROUTES.presence, async ({ request }) => {
      const { signedIn } = request
      const device = (await knownDevice(request))?.device
      return {
        me: signedIn && meOf(signedIn.person, signedIn.device, signedIn.shift),
        people: device?.enrolled ? await withPin(db) : [],
      }
    })

    serve(app, services, ROUTES.signOut, async ({ request, reply }) => {
      await sessions.end(signedInOn(request).token)
      reply.clearCookie(SESSION_COOKIE, COOKIE)
    })

    serve(app, services, ROUTES.enrolDevice, async ({ body: { name }, request }) => {
      const { person, device, shift } = signedInOn(request)
      await devices.enrol(device.id, name, person.id)
      sessions.doubt()
      return meOf(person, { name, enrolled: true }, shift)
    })

    serve(app, services, ROUTES.devices, async () => ({ devices: await devices.list() }))

    serve(app, services, ROUTES.revokeDevice, async ({ params: { id } }) => {
      if (!(await devices.revoke(id))) throw new KobrinProblem('not_found')
      sessions.doubt()
    })
  }
}
