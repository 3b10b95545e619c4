import { ROUTES } from '@kobrin/contract'
import type { PostedEntry } from '@kobrin/core'
import type { House } from '@kobrin/server'
import { connect } from '@kobrin/server'
import { v7 as uuidv7 } from 'uuid'
import type { Figure } from './figures.ts'
import { inTurn, median } from './figures.ts'
import { openSession, residentsOf } from './session.ts'

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
  const residents = residentsOf(session.site)
  const { people } = session.site
  const author = people[0]?.id ?? ''
  let made = 0
  const entry = (): PostedEntry => {
    made += 1
    const subject = residents[made % residents.length] ?? ''
    const occurredAt = new Date(Date.now() + house.aheadMs).toISOString()
    return {
      uid: uuidv7(),
      subject,
      kind: 'watered',
      occurredAt,
      author,
      payload: { duty: 'water', litres: 0.2 },
    }
  }
  const overHttp = () =>
    byMany(async (client) => {
      const text = await session.call('POST', ROUTES.append.url, { entries: [entry()] }, client)
      if (!text.includes('accepted')) throw new Error(text)
    })
  let seq = 0
  const insert = async (): Promise<void> => {
    const { uid, subject, kind, occurredAt, payload } = entry()
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
