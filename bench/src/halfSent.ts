import { once } from 'node:events'
import { connect } from 'node:net'
import { setTimeout as sleep } from 'node:timers/promises'
import { ROUTES } from '@kobrin/contract'
import type { House } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { ms, quantile, timed } from './figures.ts'
import { openSession } from './session.ts'
import { waterings } from './waterings.ts'

const LINES = 400
const PATIENCE_MS = 60_000

/** Bodies that never end: when the last of their lines is let go, and what a keeper waits meanwhile. */
export async function halfSentFigures(house: House): Promise<Figure[]> {
  const session = await openSession(house.url, 1)
  const entry = waterings(session.site, house.aheadMs)
  const { hostname, port, host } = new URL(house.url)
  const half =
    `POST ${ROUTES.append.url} HTTP/1.1\r\nhost: ${host}\r\ncookie: ${session.cookie}\r\n` +
    'content-type: application/json\r\ncontent-length: 1000000\r\n\r\n{"entries":['
  const from = performance.now()
  let open = LINES
  const lines = Array.from({ length: LINES }, () => {
    const line = connect(Number(port), hostname, () => line.write(half))
    line.resume()
    line.on('error', () => undefined)
    void once(line, 'close').then(() => (open -= 1))
    return line
  })
  const waits: number[] = []
  while (open > 0 && performance.now() - from < PATIENCE_MS) {
    waits.push(await timed(() => session.call('POST', ROUTES.append.url, { entries: [entry()] })))
    await sleep(50)
  }
  const seconds = (performance.now() - from) / 1000
  const left = open
  for (const line of lines) line.destroy()
  session.close()
  return [
    {
      name: 'half-sent-400-closed-in-seconds',
      value: left > 0 ? Infinity : seconds,
      limit: 40,
      about: `${LINES} bodies that never end, ${left} left; a keeper beside them waits p99 ${ms(quantile(waits, 0.99))}`,
    },
  ]
}
