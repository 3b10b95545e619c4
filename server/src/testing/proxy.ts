import type { ChildProcess } from 'node:child_process'
import { spawn, spawnSync } from 'node:child_process'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import type { IncomingMessage } from 'node:http'
import { request as plainRequest } from 'node:http'
import { request as tlsRequest } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { freePort } from '../database/freePort.ts'

const DEPLOYED = fileURLToPath(new URL('../../../deploy/nginx.conf', import.meta.url))
export const HOUSE_NAME = 'kobrin.example'

export interface Answered {
  status: number
  headers: IncomingMessage['headers']
  text: string
}

export interface Asking {
  method?: string
  path: string
  headers?: Record<string, string>
  body?: string
  /** The name it is asked under. */
  host?: string
}

export interface Proxy {
  ask: (asking: Asking) => Promise<Answered>
  /** Without TLS. */
  askPlainly: (path: string) => Promise<Answered>
  /** An answer that never ends: hands over what comes. */
  listen: (asking: Asking, heard: (text: string) => void) => Promise<() => void>
  stop: () => Promise<void>
}

function read(answer: IncomingMessage): Promise<Answered> {
  return new Promise((resolve, reject) => {
    let text = ''
    answer.on('data', (chunk: Buffer) => (text += String(chunk)))
    answer.once('error', reject)
    answer.once('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, text }))
  })
}

async function certificate(folder: string): Promise<Buffer> {
  const made = spawnSync('openssl', [
    ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', `/CN=${HOUSE_NAME}`],
    ...['-addext', `subjectAltName=DNS:${HOUSE_NAME}`],
    ...['-keyout', join(folder, 'key.pem'), '-out', join(folder, 'cert.pem')],
  ])
  if (made.status !== 0) throw new Error(String(made.stderr))
  return readFile(join(folder, 'cert.pem'))
}

async function until(isSo: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 100; tries += 1) {
    if (await isSo().catch(() => false)) return
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  throw new Error('The proxy did not come up.')
}

/** The proxy that a house is told to put in front, with a certificate made here, before a house on a port. */
export async function startProxy(housePort: number): Promise<Proxy> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-proxy-'))
  const ca = await certificate(folder)
  const [plain, tls] = [await freePort(), await freePort()]
  const site = (await readFile(DEPLOYED, 'utf8'))
    .replaceAll('127.0.0.1:4620', `127.0.0.1:${housePort}`)
    .replace('listen 80;', `listen 127.0.0.1:${plain};`)
    .replace('listen 443 ', `listen 127.0.0.1:${tls} `)
    .replace('/etc/ssl/certs/kobrin.pem', join(folder, 'cert.pem'))
    .replace('/etc/ssl/private/kobrin.key', join(folder, 'key.pem'))
  const around = `daemon off; pid ${folder}/pid; error_log ${folder}/error.log; worker_processes 1;
${process.getuid?.() === 0 ? 'user root;' : ''}
events {}
http { access_log off; client_body_temp_path ${folder}/body; proxy_temp_path ${folder}/proxy;
fastcgi_temp_path ${folder}/f; uwsgi_temp_path ${folder}/u; scgi_temp_path ${folder}/s;
${site}
}`
  await writeFile(join(folder, 'nginx.conf'), around)
  const nginx: ChildProcess = spawn('nginx', ['-p', folder, '-c', join(folder, 'nginx.conf')], {
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const ended = new Promise((resolve) => nginx.once('exit', resolve))

  const send = ({ method = 'GET', path, headers = {}, body, host = HOUSE_NAME }: Asking) =>
    new Promise<IncomingMessage>((resolve, reject) => {
      const asked = tlsRequest(
        {
          ...{ host: '127.0.0.1', port: tls, ca, servername: HOUSE_NAME, method, path, agent: false },
          headers: { host, ...(body !== undefined && { 'content-type': 'application/json' }), ...headers },
        },
        resolve,
      )
      asked.once('error', reject)
      asked.end(body)
    })
  const proxy: Proxy = {
    ask: async (asking) => read(await send(asking)),
    askPlainly: (path) =>
      new Promise((resolve, reject) => {
        const headers = { host: HOUSE_NAME }
        plainRequest({ host: '127.0.0.1', port: plain, path, headers, agent: false }, (answer) => {
          read(answer).then(resolve, reject)
        })
          .once('error', reject)
          .end()
      }),
    async listen(asking, heard) {
      const answer = await send(asking)
      answer.on('data', (chunk: Buffer) => heard(String(chunk)))
      answer.on('error', () => undefined)
      return () => answer.destroy()
    },
    async stop() {
      nginx.kill('SIGTERM')
      await ended
      await rm(folder, { recursive: true, force: true })
    },
  }
  await until(async () => (await proxy.askPlainly('/')).status === 301)
  return proxy
}
