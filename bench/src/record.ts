import { addressOf, ROUTES } from '@kobrin/contract'
import type { House } from '@kobrin/server'
import { connect } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { inTurn, median, ms } from './figures.ts'
import { openSession, residentsOf } from './session.ts'
import { LONG_RECORD } from './sizes.ts'

const ROUNDS = 21
/** Asked in a row at each turn. */
const EACH = 10

function inARow(ask: () => Promise<void>) {
  return async () => {
    for (let count = 0; count < EACH; count += 1) await ask()
  }
}

/** A long record over HTTP against the query that fetches its rows. */
export async function recordFigures(house: House): Promise<Figure[]> {
  const session = await openSession(house.url, 1)
  const { pool, close } = await connect(house.database, 1)
  const [subject = ''] = residentsOf(session.site)
  const path = addressOf(ROUTES.record.url, { subject })
  const overHttp = async () => {
    const text = await session.call('GET', path)
    if (!text.endsWith('}]}')) throw new Error('The record was cut short.')
  }
  const told = JSON.parse(await session.call('GET', path)) as { entries: unknown[] }
  if (told.entries.length < LONG_RECORD) throw new Error(`Only ${told.entries.length} entries came.`)
  const bare = async () => {
    const [rows] = await pool.query(
      'select stream, seq, uid, subject, kind, occurred_at, day, recorded_at, author_id, payload from entry where subject = ? order by occurred_at, uid',
      [subject],
    )
    if ((rows as unknown[]).length < LONG_RECORD) throw new Error('Rows are missing.')
  }
  const { one, other } = await inTurn(ROUNDS, inARow(overHttp), inARow(bare))
  session.close()
  await close()
  return [
    {
      name: 'record-2000-http-over-query',
      value: median(one) / median(other),
      limit: 2,
      about: `${ms(median(one) / EACH)} over HTTP, ${ms(median(other) / EACH)} for the query`,
    },
  ]
}
