import type { EnrolDevice, Me, SignIn, SwitchPerson } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync, FastifyReply, FastifyRequest } from 'fastify'
import type { z } from 'zod'
import { KobrinProblem } from '../errors/problem.ts'
import type { Floor } from '../floor.ts'
import { schemaOf } from '../interface/schemaOf.ts'
import { DEVICE_COOKIE, SESSION_COOKIE, signedInOn } from './guard.ts'
import { decoyHash, matches } from './passphrase.ts'
import { byId, byLogin, withPin } from './queries.ts'
import type { Device } from './sessions.ts'

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

function meOf(person: Me['person'], device: Pick<Device, 'name' | 'enrolled'>): Me {
  const { id, name, initials, role, competences } = person
  return {
    person: { id, name, initials, role, competences },
    device: { name: device.name, enrolled: device.enrolled },
  }
}

export function peopleRoutes({ connection: { db }, sessions, guard }: Floor): FastifyPluginAsync {
  async function deviceOf(request: FastifyRequest): Promise<Device | null> {
    const token = request.cookies[DEVICE_COOKIE]
    return token ? sessions.findDevice(token) : null
  }

  async function deviceFor(request: FastifyRequest, reply: FastifyReply): Promise<Device> {
    const known = await deviceOf(request)
    if (known) return known
    const { id, token } = await sessions.newDevice()
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
    reply.setCookie(SESSION_COOKIE, await sessions.open(person.id, device.id), COOKIE)
    return meOf(person, device)
  }

  return async (app) => {
    app.post<{ Body: SignIn }>(
      ROUTES.signIn.url,
      { schema: schemaOf(ROUTES.signIn), ...SIGN_IN_TRIES },
      async (request, reply) => {
        const { login, passphrase } = request.body
        const person = await byLogin(db, login)
        const right = await matches(person?.passphraseHash ?? (await decoyHash()), passphrase)
        if (!person || !right) throw new KobrinProblem('wrong_passphrase')
        return takeOver(request, reply, person, await deviceFor(request, reply))
      },
    )

    app.post<{ Body: SwitchPerson }>(
      ROUTES.switchPerson.url,
      { schema: schemaOf(ROUTES.switchPerson), ...PIN_TRIES },
      async (request, reply) => {
        const device = await deviceOf(request)
        if (!device?.enrolled) throw new KobrinProblem('device_not_enrolled')
        const person = await byId(db, request.body.personId)
        const right = await matches(person?.pinHash ?? (await decoyHash()), request.body.pin)
        if (!person?.pinHash || !right) throw new KobrinProblem('wrong_pin')
        return takeOver(request, reply, person, device)
      },
    )

    app.get(
      ROUTES.presence.url,
      { ...guard(ROUTES.presence), schema: schemaOf(ROUTES.presence) },
      async (request) => {
        const { signedIn } = request
        const device = await deviceOf(request)
        return {
          me: signedIn && meOf(signedIn.person, signedIn.device),
          people: device?.enrolled ? await withPin(db) : [],
        }
      },
    )

    app.delete(
      ROUTES.signOut.url,
      { ...guard(ROUTES.signOut), schema: schemaOf(ROUTES.signOut) },
      async (request, reply) => {
        await sessions.end(signedInOn(request).token)
        return reply.clearCookie(SESSION_COOKIE, COOKIE).status(204).send()
      },
    )

    app.post<{ Body: z.infer<typeof EnrolDevice> }>(
      ROUTES.enrolDevice.url,
      { ...guard(ROUTES.enrolDevice), schema: schemaOf(ROUTES.enrolDevice) },
      async (request) => {
        const { person, device } = signedInOn(request)
        await sessions.enrol(device.id, request.body.name, person.id)
        return meOf(person, { name: request.body.name, enrolled: true })
      },
    )
  }
}
