import { addressOf, ROUTES } from '@kobrin/contract'
import { collection } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { heldMb } from './figures.ts'
import { withHouse } from './largeHouse.ts'
import type { Session } from './session.ts'
import { openSession, residentsOf } from './session.ts'
import { HOUSE_AT } from './sizes.ts'
import { waterings } from './waterings.ts'

const CLIENTS = 8
const WARM_UP = 10_000
const REQUESTS = 100_000
const RESIDENTS = 300

/** What a house is asked all day: mostly entries and who is there, now and then a record or the house. */
function asked(session: Session, aheadMs: number): (line: number) => Promise<unknown> {
  const entry = waterings(session.site, aheadMs)
  const residents = residentsOf(session.site)
  let count = 0
  return (line) => {
    count += 1
    const subject = residents[count % residents.length] ?? ''
    const read = (path: string) => session.call('GET', path, undefined, line)
    switch (count % 20) {
      case 0:
        return read(ROUTES.site.url)
      case 1:
        return read(addressOf(ROUTES.record.url, { subject }))
      case 2:
        return read(addressOf(ROUTES.states.url, {}, { of: subject }))
      case 3:
        // Refused, and told why.
        return session.call('POST', ROUTES.append.url, { entries: [{ ...entry(), payload: {} }] }, line)
      default:
        return count % 2 === 0
          ? read(ROUTES.presence.url)
          : session.call('POST', ROUTES.append.url, { entries: [entry()] }, line)
    }
  }
}

/** What the server holds after a hundred thousand requests over what it held after the first ten
 * thousand. */
export async function memoryFigures(): Promise<Figure[]> {
  const seed = collection({ sheets: readLibrary(), residents: RESIDENTS, days: 6, nowMs: HOUSE_AT })
  return withHouse(seed, async ({ url, aheadMs }) => {
    const session = await openSession(url, CLIENTS)
    const ask = asked(session, aheadMs)
    const many = (requests: number) =>
      Promise.all(
        Array.from({ length: CLIENTS }, async (_, line) => {
          for (let count = 0; count < requests / CLIENTS; count += 1) await ask(line)
        }),
      )
    await many(WARM_UP)
    const before = await heldMb()
    await many(REQUESTS)
    const after = await heldMb()
    session.close()
    return [
      {
        name: 'memory-over-100000-requests',
        value: after / before,
        limit: 1.2,
        about: `${before.toFixed(1)} MB held after ${WARM_UP} requests, ${after.toFixed(1)} MB after ${REQUESTS} more`,
      },
    ]
  })
}
