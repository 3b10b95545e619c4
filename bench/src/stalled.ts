import { connect } from 'node:net'
import type { Socket } from 'node:net'
import { setTimeout as sleep } from 'node:timers/promises'
import { addressOf, ROUTES } from '@kobrin/contract'
import { collection } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { heldMb } from './figures.ts'
import { withHouse } from './largeHouse.ts'
import { HOUSE_AT } from './sizes.ts'

const READERS = 50
const SETTLE_MS = 3000

/** A screen that asks for the whole feed and takes nothing of it. */
async function stalled(url: string, cookie: string): Promise<Socket> {
  const { hostname, port, host } = new URL(url)
  const socket = connect(Number(port), hostname)
  await new Promise((resolve) => socket.once('connect', resolve))
  socket.pause()
  const path = addressOf(ROUTES.feed.url, {}, { after: '' })
  socket.write(`GET ${path} HTTP/1.1\r\nhost: ${host}\r\ncookie: ${cookie}\r\n\r\n`)
  return socket
}

/** What readers of the feed that do not read hold of the server's memory. */
export async function stalledFigures(): Promise<Figure[]> {
  const seed = collection({
    sheets: readLibrary(),
    residents: 1000,
    days: 40,
    nowMs: HOUSE_AT,
  })
  return withHouse(seed, async ({ url, cookie, get }) => {
    await get(ROUTES.states.url)
    const before = await heldMb()
    const sockets = await Promise.all(Array.from({ length: READERS }, () => stalled(url, cookie)))
    await sleep(SETTLE_MS)
    const held = (await heldMb()) - before
    for (const socket of sockets) socket.destroy()
    return [
      {
        name: 'stalled-50-readers-mb',
        value: Math.max(0, held),
        limit: 20,
        about: `${READERS} readers of a feed of ${seed.entries.length} entries who take nothing`,
      },
    ]
  })
}
