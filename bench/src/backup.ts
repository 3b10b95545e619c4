import { createReadStream, createWriteStream } from 'node:fs'
import { mkdtemp, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { collection } from '@kobrin/demo'
import type { Connection, DatabaseAddress } from '@kobrin/server'
import {
  ALL_OF_IT,
  backup,
  connect,
  loadSeed,
  migrate,
  readLibrary,
  restore,
  startOwnDatabase,
  startProgram,
} from '@kobrin/server'
import type { Figure } from './figures.ts'
import { timed } from './figures.ts'
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
        'insert into subject select another.new, family, version, up_to, state from subject join another on another.old = subject.id',
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

async function opened(folder: string) {
  const own = await startOwnDatabase(folder)
  const connection = await connect(own.address)
  await migrate(connection)
  return { own, connection }
}

/** The database's own program and nothing else, there and back. */
async function dumped(address: DatabaseAddress, file: string): Promise<void> {
  const { process, ended } = startProgram('mariadb-dump', address, ALL_OF_IT)
  await Promise.all([pipeline(process.stdout, createWriteStream(file)), ended])
}

async function poured(address: DatabaseAddress, file: string): Promise<void> {
  const { process, ended } = startProgram('mariadb', address, ['--batch', '--default-character-set=utf8mb4'])
  process.stdout.resume()
  await Promise.all([pipeline(createReadStream(file), process.stdin), ended])
}

function seconds(value: number): string {
  return `${(value / 1000).toFixed(1)} s`
}

/** A backup of a year in a house of ten thousand, and bringing it back, against MariaDB's own programs alone. */
export async function backupFigures(): Promise<Figure[]> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-backup-'))
  const file = (name: string) => join(folder, name)
  const house = await opened(file('house'))
  try {
    const sheets = readLibrary()
    await loadSeed(house.connection.db, collection({ sheets, residents: TOLD, days: DAYS, nowMs: HOUSE_AT }))
    await copyAll(house.connection, TIMES)
    const { address } = house.own
    const alone = await timed(() => dumped(address, file('alone.sql')))
    const ours = await timed(() => backup(address, file('ours.sql.gz'), new Date(HOUSE_AT)))
    const plain = await opened(file('plain'))
    const pouring = await timed(() => poured(plain.own.address, file('alone.sql')))
    await plain.connection.close()
    await plain.own.stop()
    const back = await opened(file('back'))
    const restoring = await timed(() => restore(back.own.address, back.connection, file('ours.sql.gz')))
    await back.connection.close()
    await back.own.stop()
    const [{ size: large }, { size: small }] = await Promise.all([
      stat(file('alone.sql')),
      stat(file('ours.sql.gz')),
    ])
    const mb = (bytes: number) => `${Math.round(bytes / 1e6)} MB`
    return [
      {
        name: 'a backup over mariadb-dump alone',
        value: ours / alone,
        limit: 1.3,
        about: `${seconds(ours)} for ${mb(small)}, ${seconds(alone)} for ${mb(large)}; ${TOLD * TIMES} residents, ${DAYS} days`,
      },
      {
        name: 'bringing it back over mariadb alone',
        value: restoring / pouring,
        limit: 1.3,
        about: `${seconds(restoring)}, ${seconds(pouring)}`,
      },
    ]
  } finally {
    await house.connection.close()
    await house.own.stop()
    await rm(folder, { recursive: true, force: true })
  }
}
