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
import type { Try } from './guesses.ts'

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

interface Knock<P> {
  by: Try['by']
  /** Whoever it says it is; null where nobody is called so. */
  found: P | null
  hash: string | null | undefined
  secret: string
  device: Device | null
}

/** Who is at a screen: signing in and out, and changing hands. */
function createDoor({ sessions, devices, guesses }: Services) {
  async function knownDevice(request: FastifyRequest): Promise<{ device: Device; token: string } | null> {
    const token = request.cookies[DEVICE_COOKIE]
    const device = token ? await devices.find(token) : null
    return device && token ? { device, token } : null
  }

  /** Somebody whose secret was right. Takes as long for nobody as for a known one. */
  function admitted<P extends { id: string }>(
    { ip: address }: FastifyRequest,
    { by, found, hash, secret, device }: Knock<P>,
  ): Promise<P | null> {
    return guesses.judged({ by, personId: found?.id ?? null, device, address }, async () => {
      const right = await matches(hash ?? (await decoyHash()), secret)
      return right && hash ? found : null
    })
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

  return { knownDevice, admitted, takeOver }
}

export function peopleRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
    devices,
    sessions,
  } = services
  const { knownDevice, admitted, takeOver } = createDoor(services)
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
      const { device, token } = known ?? (await devices.begin())
      reply.setCookie(DEVICE_COOKIE, token, { ...COOKIE, maxAge: DEVICE_COOKIE_SECONDS })
      return takeOver(request, reply, person, device)
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
