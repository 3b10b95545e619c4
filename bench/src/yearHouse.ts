import { collection } from '@kobrin/demo'
import type { Connection } from '@kobrin/server'
import { connect, loadSeed, migrate, readLibrary, startOwnDatabase } from '@kobrin/server'
import { HOUSE_AT } from './sizes.ts'

/** Told one by one, and then again and again under other names until the house is as large as it shall be. */
const TOLD = 250
const TIMES = 40
const DAYS = 365

/** Everybody who lives there once more, with a history of their own of the same kinds and sizes. */
async function copyAll({ lone }: Connection, times: number): Promise<void> {
  const own = await lone()
  try {
    await own.query('set max_statement_time = 0, unique_checks = 0')
    const [[{ last }]] = (await own.query('select max(seq) as last from entry')) as unknown as [
      [{ last: number }],
    ]
    for (let time = 1; time < times; time += 1) {
      await own.query(
        'create or replace temporary table another (old uuid primary key, new uuid) select id as old, uuid() as new from resident where cast(accession as int) <= ?',
        [TOLD],
      )
      await own.query(
        `insert into entry (subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, act, payload, written_at)
         select another.new, occurred_at, uuid(), stream, seq + ?, family, kind, day, recorded_at, author_id, act, payload, written_at
         from entry join another on another.old = entry.subject where seq <= ?`,
        [time * last, last],
      )
      await own.query(
        `insert into subject (id, family, version, up_to, state, closed_at, revision)
         select another.new, family, version, up_to, state, closed_at, revision
         from subject join another on another.old = subject.id`,
      )
      await own.query(
        'insert into resident select another.new, cast(accession as int) + ?, name, sheet_id, stage, schools from resident join another on another.old = resident.id',
        [time * TOLD],
      )
    }
  } finally {
    await own.end()
  }
}

/** An empty house of its own, without a server. */
export async function emptyHouse(folder: string) {
  const own = await startOwnDatabase(folder)
  const connection = await connect(own.address)
  await migrate(connection)
  return { own, connection }
}

/** A house of ten thousand with a year of entries. */
export async function yearHouse(folder: string) {
  const house = await emptyHouse(folder)
  const seed = collection({ sheets: readLibrary(), residents: TOLD, days: DAYS, nowMs: HOUSE_AT })
  await loadSeed(house.connection.db, seed)
  await copyAll(house.connection, TIMES)
  return house
}

export const YEAR_HOUSE = `${TOLD * TIMES} residents, ${DAYS} days`
