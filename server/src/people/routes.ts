import type { Me, Shift, SignIn, SwitchPerson } from '@kobrin/contract'
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
const DEVICE_COOKIE_SECONDS = 400 * 86_400
/** Guessing is limited for each name from each place: a whole shift may sign in from one address. */
function tries(max: number, timeWindow: string, whose: (body: unknown) => string) {
  const keyGenerator = ({ ip, body }: FastifyRequest) => `${ip} ${whose(body)}`
  return { config: { rateLimit: { max, timeWindow, hook: 'preHandler' as const, keyGenerator } } }
}

const SIGN_IN_TRIES = tries(10, '1 minute', (body) => (body as SignIn).login.toLowerCase())
/** Four digits are soon guessed by somebody who may go on guessing. */
const PIN_TRIES = tries(6, '5 minutes', (body) => (body as SwitchPerson).personId)

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
    const known = await deviceOf(request)
    if (known) return known
    const { id, token } = await devices.begin()
    reply.setCookie(DEVICE_COOKIE, token, { ...COOKIE, maxAge: DEVICE_COOKIE_SECONDS })
    return { id, name: null, enrolled: false }
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
    sessions,
  } = services
  const { deviceOf, deviceFor, takeOver } = createDoor(services)
  return async (app) => {
    serve(
      app,
      services,
      ROUTES.signIn,
      async ({ body: { login, passphrase }, request, reply }) => {
        const person = await byLogin(db, login)
        const right = await matches(person?.passphraseHash ?? (await decoyHash()), passphrase)
        if (!person || !right) throw new KobrinProblem('wrong_passphrase')
        return takeOver(request, reply, person, await deviceFor(request, reply))
      },
      SIGN_IN_TRIES,
    )

    serve(
      app,
      services,
      ROUTES.switchPerson,
      async ({ body: { personId, pin }, request, reply }) => {
        const device = await deviceOf(request)
        if (!device?.enrolled) throw new KobrinProblem('device_not_enrolled')
        const person = await byId(db, personId)
        const right = await matches(person?.pinHash ?? (await decoyHash()), pin)
        if (!person?.pinHash || !right) throw new KobrinProblem('wrong_pin')
        return takeOver(request, reply, person, device)
      },
      PIN_TRIES,
    )

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
  }
}
