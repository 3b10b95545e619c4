import { Agent, get } from 'node:http'
import { setTimeout as sleep } from 'node:timers/promises'
import { addressOf, ROUTES } from '@kobrin/contract'
import type { House } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { ms } from './figures.ts'
import { atAnEvenPace } from './load.ts'
import type { Session } from './session.ts'
import { openSession } from './session.ts'

const FEEDS = 500
const CLIENTS = 32
const SECONDS = 10
const PATIENCE_MS = 30_000

interface Screen {
  seen: Map<string, number>
  close: () => void
}

/** A screen that is open: how often it was told each entry. */
function screen(house: House, { cookie }: Session, after: string, agent: Agent): Promise<Screen> {
  return new Promise((resolve, reject) => {
    const path = addressOf(ROUTES.feed.url, {}, { after })
    const asked = get(`${house.url}${path}`, { agent, headers: { cookie } }, (response) => {
      const seen = new Map<string, number>()
      let rest = ''
      response.setEncoding('utf8')
      response.on('data', (chunk: string) => {
        const events = (rest + chunk).split('\n\n')
        rest = events.pop() ?? ''
        for (const event of events) {
          const uid = /"uid":"([^"]+)"/.exec(event)?.[1]
          if (uid) seen.set(uid, (seen.get(uid) ?? 0) + 1)
        }
      })
      resolve({ seen, close: () => asked.destroy() })
    })
    asked.once('error', reject)
  })
}

/** Five hundred open screens while everybody writes: each is told everything, once. */
export async function feedsFigures(house: House): Promise<Figure[]> {
  const session = await openSession(house.url, CLIENTS)
  const { head } = JSON.parse(await session.call('GET', ROUTES.states.url)) as { head: string }
  const agent = new Agent({ maxSockets: Infinity })
  const screens = await Promise.all(Array.from({ length: FEEDS }, () => screen(house, session, head, agent)))
  const said = await atAnEvenPace(session, { aheadMs: house.aheadMs, seconds: SECONDS })
  const since = performance.now()
  const missing = () => screens.reduce((sum, { seen }) => sum + said.length - seen.size, 0)
  while (missing() > 0 && performance.now() - since < PATIENCE_MS) await sleep(20)
  const lag = performance.now() - since
  const doubled = screens.flatMap(({ seen }) => [...seen.values()].filter((times) => times > 1)).length
  for (const { close } of screens) close()
  session.close()
  const about = `${FEEDS} screens told of ${said.length} entries each; the last ${ms(lag)} after it was kept`
  return [
    { name: 'feeds-500-lost', value: missing(), limit: 0, about },
    { name: 'feeds-500-doubled', value: doubled, limit: 0, about },
  ]
}
