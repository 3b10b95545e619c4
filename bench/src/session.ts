import { Agent, request } from 'node:http'
import type { Site } from '@kobrin/contract'
import { PATHS } from '@kobrin/contract'
import { demoPassphrase } from '@kobrin/demo'

export interface Answer {
  status: number
  text: string
  cookies: string[]
}

export interface Session {
  call: (method: string, path: string, body?: unknown) => Promise<Answer>
  site: Site
  close: () => void
}

/** A keeper signed in over HTTP, on as many connections as are asked for. */
export async function openSession(base: string, connections: number): Promise<Session> {
  const agent = new Agent({ keepAlive: true, maxSockets: connections })
  let cookie = ''

  function call(method: string, path: string, body?: unknown): Promise<Answer> {
    const text = body === undefined ? '' : JSON.stringify(body)
    return new Promise((resolve, reject) => {
      const headers = {
        cookie,
        ...(text && { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) }),
      }
      const sent = request(`${base}${path}`, { method, agent, headers }, (response) => {
        const chunks: Buffer[] = []
        response.on('data', (chunk: Buffer) => chunks.push(chunk))
        response.on('end', () =>
          resolve({
            status: response.statusCode ?? 0,
            text: Buffer.concat(chunks).toString(),
            cookies: response.headers['set-cookie'] ?? [],
          }),
        )
      })
      sent.on('error', reject)
      sent.end(text)
    })
  }

  const signedIn = await call('POST', PATHS.session, {
    login: 'keeper',
    passphrase: demoPassphrase('keeper'),
  })
  if (signedIn.status !== 200) throw new Error(`The keeper could not sign in: ${signedIn.text}`)
  cookie = signedIn.cookies.map((one) => one.split(';')[0]).join('; ')
  const site = JSON.parse((await call('GET', PATHS.site)).text) as Site
  return { call, site, close: () => agent.destroy() }
}
