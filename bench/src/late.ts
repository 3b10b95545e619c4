import type { BatchAnswer } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { House } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { inTurn, median, ms } from './figures.ts'
import { openSession, residentsOf } from './session.ts'
import { LONG_RECORD } from './sizes.ts'
import { watering } from './waterings.ts'

const LATE = 200
const ROUNDS = 7
const YEAR_MS = 365 * 86_400_000

/** Two hundred entries that happened long ago, posted into a record of two thousand, against as many in
 * order: a tablet that lay in a drawer must not stop the house. */
export async function lateFigures(house: House): Promise<Figure[]> {
  const session = await openSession(house.url, 1)
  const [subject = ''] = residentsOf(session.site)
  const author = session.site.people[0]?.id ?? ''
  let made = 0

  async function post(from: number): Promise<void> {
    const entries = Array.from({ length: LATE }, () => {
      made += 1
      return watering({ subject, author, atMs: from + made })
    })
    const { receipts } = JSON.parse(await session.call('POST', ROUTES.append.url, { entries })) as BatchAnswer
    if (receipts.some(({ status }) => status !== 'accepted')) throw new Error('An entry was refused.')
  }

  const now = () => Date.now() + house.aheadMs
  const { one, other } = await inTurn(
    ROUNDS,
    () => post(now() - YEAR_MS),
    () => post(now()),
  )
  session.close()
  return [
    {
      name: 'late-200-over-in-order',
      value: median(one) / median(other),
      limit: 3,
      about: `${ms(median(one))} late, ${ms(median(other))} in order, into a record of ${LONG_RECORD} and more`,
    },
  ]
}
