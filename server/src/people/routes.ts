import type { Me, Shift } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync, FastifyReply, FastifyRequest } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { DEVICE_COOKIE, SESSION_COOKIE, signedInOn } from './guard.ts'
import { decoyHash, matches } from './passphrase.ts'
import { byId, byLogin, withPin } from './queries.ts'
import type { Device } from './devices.ts'

const COOKIE = { path: '/', httpOnly: true, secure: true, sameSite: 'strict' } as const
/** Begun anew with every sign-in. */
const DEVICE_COOKIE_SECONDS = 120 * 86_400

function meOf(person: Me['person'], device: Pick<Device, 'name' | 'enrolled'>, shift: Shift): Me {
  const { id, name, initials, role, competences } = person
  return {
    person: { id, name, initials, role, competences },
    device: { name: device.name, enrolled: device.enrolled },
    shift,
  }
}

/** Who is at a screen: signing in and out, and changing hands. */
function createDoor({ sessions, devices }: Services) {
  async function deviceOf(request: FastifyRequest): Promise<Device | null> {
    const token = request.cookies[DEVICE_COOKIE]
    return token ? devices.find(token) : null
  }

  async function deviceFor(request: FastifyRequest, reply: FastifyReply): Promise<Device> {
    const token = request.cookies[DEVICE_COOKIE]
    const known = token ? await devices.find(token) : null
    const begun = known && token ? { device: known, token } : await devices.begin()
    reply.setCookie(DEVICE_COOKIE, begun.token, { ...COOKIE, maxAge: DEVICE_COOKIE_SECONDS })
    return begun.device
  }

  async function takeOver(
    request: FastifyRequest,
    reply: FastifyReply,
    person: Me['person'],
    device: Device,
  ): Promise<Me> {
    const before = request.cookies[SESSION_COOKIE]
    if (before) await sessions.end(before)
    const { token, shift } = await sessions.open(person.id, device.id)
    reply.setCookie(SESSION_COOKIE, token, COOKIE)
    return meOf(person, device, shift)
  }

  return { deviceOf, deviceFor, takeOver }
}

export function peopleRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
    devices,
    guesses,
    sessions,
  } = services
  const { deviceOf, deviceFor, takeOver } = createDoor(services)
  return async (app) => {
    serve(app, services, ROUTES.signIn, async ({ body: { login, passphrase }, request, reply }) => {
      const found = await byLogin(db, login)
      const device = await deviceOf(request)
      const guess = { by: 'passphrase', personId: found?.id ?? null, device, address: request.ip } as const
      const person = await guesses.judged(guess, async () => {
        const right = await matches(found?.passphraseHash ?? (await decoyHash()), passphrase)
        return right ? found : null
      })
      if (!person) throw new KobrinProblem('wrong_passphrase')
      return takeOver(request, reply, person, await deviceFor(request, reply))
    })

    serve(app, services, ROUTES.switchPerson, async ({ body: { personId, pin }, request, reply }) => {
      const device = await deviceOf(request)
      if (!device?.enrolled) throw new KobrinProblem('device_not_enrolled')
      const found = await byId(db, personId)
      const guess = { by: 'pin', personId: found?.id ?? null, device, address: request.ip } as const
      const person = await guesses.judged(guess, async () => {
        const right = await matches(found?.pinHash ?? (await decoyHash()), pin)
        return right && found?.pinHash ? found : null
      })
      if (!person) throw new KobrinProblem('wrong_pin')
      return takeOver(request, reply, person, device)
    })

    serve(app, services, ROUTES.presence, async ({ request }) => {
      const { signedIn } = request
      const device = await deviceOf(request)
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
