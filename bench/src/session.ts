import { connect } from 'node:net'
import type { Socket } from 'node:net'
import type { Site } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import { demoPassphrase } from '@kobrin/demo'

/** Residents in the order of their numbers. */
export function residentsOf({ numbers }: Pick<Site, 'numbers'>): string[] {
  const byNumber = Object.entries(numbers).sort(([, a], [, b]) => (a < b ? -1 : 1))
  return byNumber.map(([id]) => id)
}

export interface Session {
  /** Cookies of anyone who is signed in. */
  cookie: string
  /** Sends over one of the session's connections and answers the body; throws unless the status is 200. */
  call: (method: string, path: string, body?: unknown, line?: number) => Promise<string>
  site: Site
  /** On how many connections. */
  connections: number
  close: () => void
}

const HEAD_END = '\r\n\r\n'

/** One kept-alive HTTP/1.1 connection, as lean as a client can be: what is measured is the server. */
class Line {
  readonly #socket: Socket
  #chunks: Buffer[] = []
  #heard = 0
  #expected = 0
  #answer: ((body: string) => void) | null = null
  #fail: ((error: Error) => void) | null = null

  constructor(socket: Socket) {
    this.#socket = socket
    socket.setNoDelay(true)
    socket.on('data', (chunk) => this.#hear(chunk))
    socket.on('error', (error) => this.#fail?.(error))
  }

  send(head: string, body: string): Promise<{ head: string; body: string }> {
    return new Promise((resolve, reject) => {
      this.#fail = reject
      this.#answer = (text) => {
        const at = text.indexOf(HEAD_END)
        resolve({ head: text.slice(0, at), body: text.slice(at + HEAD_END.length) })
      }
      this.#socket.write(`${head}content-length: ${Buffer.byteLength(body)}${HEAD_END}${body}`)
    })
  }

  close(): void {
    this.#socket.destroy()
  }

  #hear(chunk: Buffer): void {
    this.#chunks.push(chunk)
    this.#heard += chunk.length
    if (this.#expected === 0) {
      const headEnd = chunk.indexOf(HEAD_END)
      const length = /content-length: (\d+)/i.exec(chunk.toString('latin1', 0, headEnd))?.[1]
      this.#expected = headEnd + HEAD_END.length + Number(length)
    }
    if (this.#heard < this.#expected) return
    const all = Buffer.concat(this.#chunks)
    this.#chunks = []
    this.#heard = 0
    this.#expected = 0
    this.#answer?.(all.toString())
  }
}

/** A keeper signed in over HTTP, on as many connections as are asked for. */
export async function openSession(base: string, connections: number): Promise<Session> {
  const { hostname, port, host } = new URL(base)
  const lines = Array.from({ length: connections }, () => new Line(connect(Number(port), hostname)))
  let cookie = ''

  async function exchange(method: string, path: string, body: unknown, line: number) {
    const text = body === undefined ? '' : JSON.stringify(body)
    const type = text ? 'content-type: application/json\r\n' : ''
    const head = `${method} ${path} HTTP/1.1\r\nhost: ${host}\r\ncookie: ${cookie}\r\n${type}`
    const answer = await lines[line]?.send(head, text)
    if (!answer?.head.startsWith('HTTP/1.1 200'))
      throw new Error(`${path}: ${answer?.head ?? ''} ${answer?.body ?? ''}`)
    return answer
  }

  const who = { login: 'keeper', passphrase: demoPassphrase('keeper') }
  const { head } = await exchange('POST', ROUTES.signIn.url, who, 0)
  cookie = [...head.matchAll(/^set-cookie: ([^;]+)/gim)].map(([, pair]) => pair).join('; ')
  const site = JSON.parse((await exchange('GET', ROUTES.site.url, undefined, 0)).body) as Site
  return {
    cookie,
    site,
    connections,
    call: async (method, path, body, line = 0) => (await exchange(method, path, body, line)).body,
    close: () => lines.forEach((line) => line.close()),
  }
}
