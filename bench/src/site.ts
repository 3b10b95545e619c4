import { ROUTES } from '@kobrin/contract'
import { collection } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { median, ms } from './figures.ts'
import { withHouse } from './largeHouse.ts'
import { HOUSE_AT } from './sizes.ts'

const RESIDENTS = 10_000
const READERS = 40
const ROUNDS = 5

/** CPU of the process per call, milliseconds. */
async function cpuEach(call: () => Promise<unknown>): Promise<number> {
  const before = process.cpuUsage()
  for (let count = 0; count < READERS; count += 1) await call()
  const { user, system } = process.cpuUsage(before)
  return (user + system) / 1000 / READERS
}

/** What each tablet that opens in a house of ten thousand costs the server, over what it costs to say that
 * it is well. Asked within the process, so that nobody else's work is counted. */
export async function siteFigures(): Promise<Figure[]> {
  const seed = collection({
    sheets: readLibrary(),
    residents: RESIDENTS,
    days: 1,
    nowMs: HOUSE_AT,
  })
  return withHouse(seed, async ({ get }) => {
    const times = { site: [] as number[], book: [] as number[], health: [] as number[] }
    for (let round = 0; round <= ROUNDS; round += 1) {
      const site = await cpuEach(() => get(ROUTES.site.url))
      const book = await cpuEach(() => get(ROUTES.planBook.url))
      const health = await cpuEach(() => get(ROUTES.health.url))
      // The first time everything is read and printed for all that follow.
      if (round === 0) continue
      times.site.push(site)
      times.book.push(book)
      times.health.push(health)
    }
    const each = median(times.site) + median(times.book)
    return [
      {
        name: 'site-10000-cpu-seconds-over-health',
        value: (each - median(times.health)) / 1000,
        limit: 0.15,
        about: `site ${ms(median(times.site))}, plan book ${ms(median(times.book))}, health ${ms(median(times.health))} of CPU each; was 1100 to 1400 ms`,
      },
    ]
  })
}
