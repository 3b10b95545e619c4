import { ROUTES } from '@kobrin/contract'
import type { House } from '@kobrin/server'
import { connect } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { inTurn, median } from './figures.ts'
import { openSession } from './session.ts'
import { waterings } from './waterings.ts'

const CLIENTS = 32
const EACH = 150
const ROUNDS = 7

/** So many at once, each going on to the next as soon as it is answered. */
async function byMany(work: (client: number) => Promise<unknown>): Promise<void> {
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      for (let count = 0; count < EACH; count += 1) await work(client)
    }),
  )
}

/** Entries over HTTP, one a request, each acknowledged durable and written with its resident's fold,
 * against durable INSERTs of the entries' rows alone, one a statement. */
export async function appendFigures(house: House): Promise<Figure[]> {
  const session = await openSession(house.url, CLIENTS)
  const { pool, close } = await connect(house.database, CLIENTS)
  const [durable] = (await pool.query('select @@innodb_flush_log_at_trx_commit as flush'))[0] as {
    flush: number
  }[]
  if (durable?.flush !== 1) throw new Error('The database is not set to be durable.')
  await pool.query('create table bare like entry')
  const entry = waterings(session.site, house.aheadMs)
  const overHttp = () =>
    byMany(async (client) => {
      const text = await session.call('POST', ROUTES.append.url, { entries: [entry()] }, client)
      if (!text.includes('accepted')) throw new Error(text)
    })
  let seq = 0
  const insert = async (): Promise<void> => {
    const { uid, subject, kind, occurredAt, author, payload } = entry()
    const at = occurredAt.replace('T', ' ').replace('Z', '')
    seq += 1
    const day = occurredAt.slice(0, 10)
    const row = [subject, at, uid, 1, seq, 'resident', kind, day, at, author, JSON.stringify(payload)]
    await pool.query(
      'insert into bare (subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, payload) values (?)',
      [row],
    )
  }
  const { one, other } = await inTurn(ROUNDS, overHttp, () => byMany(insert))
  const [http, direct] = [median(one), median(other)]
  const perSecond = (elapsed: number) => Math.round(((CLIENTS * EACH) / elapsed) * 1000)
  session.close()
  await close()
  return [
    {
      name: 'append-http-over-bare-insert',
      value: direct / http,
      limit: 0.25,
      atLeast: true,
      about: `${perSecond(http)} entries/s over HTTP, ${perSecond(direct)} bare rows/s, ${CLIENTS} clients`,
    },
  ]
}
