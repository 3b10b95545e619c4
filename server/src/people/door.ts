import type { Me, Shift } from '@kobrin/contract'
import type { FastifyReply, FastifyRequest } from 'fastify'
import type { Device, Devices } from './devices.ts'
import { DEVICE_COOKIE, SESSION_COOKIE } from './guard.ts'
import type { Guesses, Try } from './guesses.ts'
import { decoyHash, matches } from './passphrase.ts'
import type { Sessions } from './sessions.ts'

export const COOKIE = { path: '/', httpOnly: true, secure: true, sameSite: 'strict' } as const
/** Begun again with every sign-in. */
const DEVICE_COOKIE_SECONDS = 120 * 86_400

export function meOf(person: Me['person'], device: Pick<Device, 'name' | 'enrolled'>, shift: Shift): Me {
  const { id, name, initials, role, competences, units } = person
  return {
    person: { id, name, initials, role, competences, units: units ?? null },
    device: { name: device.name, enrolled: device.enrolled },
    shift,
  }
}

interface Knock<P> {
  by: Try['by']
  /** The person it claims to be; null where nobody is called so. */
  found: P | null
  hash: string | null | undefined
  secret: string
  device: Device | null
}

export type Door = ReturnType<typeof createDoor>

/** Who is at a screen: signing in and out, and changing hands. */
export function createDoor({
  sessions,
  devices,
  guesses,
}: {
  sessions: Sessions
  devices: Devices
  guesses: Guesses
}) {
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

  /** Somebody who may come in does, on this browser, which is remembered. */
  async function comeIn(request: FastifyRequest, reply: FastifyReply, person: Me['person']): Promise<Me> {
    const { device, token } = (await knownDevice(request)) ?? (await devices.begin())
    reply.setCookie(DEVICE_COOKIE, token, { ...COOKIE, maxAge: DEVICE_COOKIE_SECONDS })
    return takeOver(request, reply, person, device)
  }

  return { knownDevice, admitted, takeOver, comeIn }
}
