import { setTimeout as sleep } from 'node:timers/promises'
import type { Me } from '@kobrin/contract'
import { REVISION_HEADER, ROUTES } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import { demoPassphrase } from '@kobrin/demo'

const PATIENCE_MS = 8_000
const AGAIN_MS = 50

class Refused extends Error {
  readonly status: number

  constructor(path: string, status: number) {
    super(`${path}: ${status}`)
    this.status = status
  }
}

export function isServerFault(error: unknown): boolean {
  return error instanceof Refused && error.status === 500
}

export interface Asking {
  me: Me
  /** A GET, or a POST of a body; throws when the answer is not a good one or does not come. */
  ask: <T>(path: string, body?: unknown) => Promise<T>
}

/** Does it until it succeeds. */
export async function patiently<T>(work: () => Promise<T>): Promise<T> {
  for (;;) {
    const answer = await work().catch(() => null)
    if (answer !== null) return answer
    await sleep(AGAIN_MS)
  }
}

/** Signs somebody in at a house that may fall at any moment. */
export async function askingAs(login: string, base: string): Promise<Asking> {
  async function send(path: string, cookie: string, body?: unknown): Promise<Response> {
    const response = await fetch(`${base}${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers: {
        cookie,
        [REVISION_HEADER]: String(FOLD_REVISION),
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body !== undefined && { body: JSON.stringify(body) }),
    })
    if (!response.ok) throw new Refused(path, response.status)
    return response
  }
  const response = await send(ROUTES.signIn.url, '', { login, passphrase: demoPassphrase(login) })
  const cookie = response.headers.getSetCookie().map((one) => one.split(';')[0])
  return {
    me: (await response.json()) as Me,
    ask: async <T>(path: string, body?: unknown) =>
      (await send(path, cookie.join('; '), body).then((answer) => answer.json())) as T,
  }
}
