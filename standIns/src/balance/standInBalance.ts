import { existsSync } from 'node:fs'
import type { AddressInfo, Server, Socket } from 'node:net'
import { createServer } from 'node:net'
import fastifyStatic from '@fastify/static'
import fastify from 'fastify'
import { createPan, EMPTY, Load } from './pan.ts'

export interface StandInOptions {
  /** Where its lines are listened to, by TCP. 0 for any free one. */
  port?: number
  /** Where its page is. 0 for any free one. */
  pagePort?: number
  /** Folder of the built page; without it there is none. */
  pages?: string
  random?: () => number
  /** The smallest step it shows, grams. */
  step?: number
}

export interface StandInBalance {
  host: string
  port: number
  /** Of its page. */
  url: string
  /** Puts something on the pan in place of what lay there. */
  put: (load: Load) => void
  close: () => Promise<void>
}

const HOST = '127.0.0.1'
const READINGS_A_SECOND = 10
/** Whoever does not read is not told for ever. */
const BEHIND_BYTES = 64 * 1024

function listening(server: Server, port: number): Promise<number> {
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, HOST, () => resolve((server.address() as AddressInfo).port))
  })
}

/** A balance that is none: it says ten lines a second by TCP of whatever lies on it, like `42.1 g`. A small page
 * puts animals on it and takes them off. */
export async function startBalance({
  port = 0,
  pagePort = 0,
  pages,
  random = Math.random,
  step = 0.1,
}: StandInOptions = {}): Promise<StandInBalance> {
  const pan = createPan({ random, step })
  const decimals = Math.max(0, -Math.floor(Math.log10(step)))
  const listeners = new Set<Socket>()
  let load = EMPTY
  let line = ''

  const speaking = setInterval(() => {
    line = `${pan.read(load).toFixed(decimals)} g`
    for (const socket of listeners) if (socket.writableLength < BEHIND_BYTES) socket.write(`${line}\r\n`)
  }, 1000 / READINGS_A_SECOND)

  const lines = createServer((socket) => {
    listeners.add(socket)
    socket.on('error', () => undefined)
    socket.on('close', () => listeners.delete(socket))
  })
  const linesAt = await listening(lines, port)

  const page = fastify({ forceCloseConnections: true })
  page.get('/pan', () => ({ load, line }))
  page.put('/pan', (request, reply) => {
    const told = Load.safeParse(request.body)
    if (!told.success) return reply.status(400).send({ message: told.error.issues[0]?.message })
    load = told.data
    return { load, line }
  })
  if (pages !== undefined && existsSync(pages))
    await page.register(fastifyStatic, { root: pages, index: 'balance.html' })
  const url = await page.listen({ host: HOST, port: pagePort })

  return {
    host: HOST,
    port: linesAt,
    url,
    put: (next) => (load = next),
    async close() {
      clearInterval(speaking)
      for (const socket of listeners) socket.destroy()
      await Promise.all([page.close(), new Promise((resolve) => lines.close(resolve))])
    },
  }
}
