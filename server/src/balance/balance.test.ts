import type { AddressInfo, Server, Socket } from 'node:net'
import { createServer } from 'node:net'
import { addressOf, OFFICE_ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { OpenApp } from '../testing/openApp.ts'
import { openApp } from '../testing/openApp.ts'
import type { SentEvent } from '../testing/readEvents.ts'
import { readEvents } from '../testing/readEvents.ts'
import { signedIn } from '../testing/client.ts'

let open: OpenApp
let device: Server
let connected: Socket[] = []

beforeAll(async () => {
  device = createServer((socket) => {
    connected.push(socket)
    socket.on('error', () => undefined)
    socket.on('close', () => (connected = connected.filter((one) => one !== socket)))
  })
  await new Promise<void>((resolve) => device.listen(0, '127.0.0.1', resolve))
  const { port } = device.address() as AddressInfo
  open = await openApp('keeper', {
    heartbeatMs: 50,
    balances: [
      { name: 'Gatehouse bench', host: '127.0.0.1', port },
      { name: 'Taken away', host: '127.0.0.1', port: 1 },
    ],
  })
  await open.app.listen({ host: '127.0.0.1', port: 0 })
})
afterAll(async () => {
  await open.close()
  for (const socket of connected) socket.destroy()
  device.close()
})

/** Somebody who listens to a balance. */
function listen(name: string, as = open.as) {
  const control = new AbortController()
  const heard: SentEvent[] = []
  const address = addressOf(OFFICE_ROUTES.balance.url, { name })
  const { signal } = control
  const ended = readEvents(open.app, as, address, { signal, hear: (event) => heard.push(event) })
  const lines = () =>
    heard.flatMap(({ name: what, data }) =>
      what === undefined && data ? [(JSON.parse(data) as { line: string }).line] : [],
    )
  return { heard, lines, ended, stop: () => control.abort() }
}

describe('a balance of the house', () => {
  it('is named to whoever may write, and to nobody else', async () => {
    const { url } = OFFICE_ROUTES.balances
    expect((await open.as.call({ method: 'GET', url })).json()).toEqual({
      names: ['Gatehouse bench', 'Taken away'],
    })
    const reader = await signedIn(open.app, 'reader')
    expect((await reader.call({ method: 'GET', url })).statusCode).toBe(403)
  })

  it('is told on line by line to all who listen, over one connection, and let go with the last', async () => {
    const [one, other] = [listen('Gatehouse bench'), listen('Gatehouse bench')]
    await vi.waitFor(() => expect(connected).toHaveLength(1))
    connected[0]?.write('42.1 g\r\n42.')
    connected[0]?.write('2 g\r\n')
    for (const listener of [one, other])
      await vi.waitFor(() => expect(listener.lines()).toEqual(['42.1 g', '42.2 g']))
    one.stop()
    connected[0]?.write('42.3 g\r\n')
    await vi.waitFor(() => expect(other.lines()).toContain('42.3 g'))
    expect(connected).toHaveLength(1)
    other.stop()
    await vi.waitFor(() => expect(connected).toHaveLength(0))
  })

  it('that cannot be reached is said to be away, and the line stays', async () => {
    const listener = listen('Taken away')
    await vi.waitFor(() => expect(listener.heard.map(({ name }) => name)).toContain('away'))
    await vi.waitFor(() => expect(listener.heard.map(({ name }) => name)).toContain('beat'))
    listener.stop()
    await listener.ended
  })

  it('that sends no lines at all is let go and tried again', async () => {
    const listener = listen('Gatehouse bench')
    await vi.waitFor(() => expect(connected).toHaveLength(1))
    connected[0]?.write('x'.repeat(5000))
    await vi.waitFor(() => expect(listener.heard.map(({ name }) => name)).toContain('away'))
    listener.stop()
  })

  it('that nobody has is not found', async () => {
    const url = addressOf(OFFICE_ROUTES.balance.url, { name: 'Another' })
    expect((await open.as.call({ method: 'GET', url })).statusCode).toBe(404)
  })
})
