import { createReadStream, createWriteStream } from 'node:fs'
import { mkdtemp, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import type { DatabaseAddress } from '@kobrin/server'
import { ALL_OF_IT, backup, restore, startProgram } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { timed } from './figures.ts'
import { HOUSE_AT } from './sizes.ts'
import { emptyHouse, YEAR_HOUSE, yearHouse } from './yearHouse.ts'

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
  const house = await yearHouse(file('house'))
  try {
    const { address } = house.own
    const alone = await timed(() => dumped(address, file('alone.sql')))
    const ours = await timed(() => backup(address, file('ours.sql.gz'), new Date(HOUSE_AT)))
    const plain = await emptyHouse(file('plain'))
    const pouring = await timed(() => poured(plain.own.address, file('alone.sql')))
    await plain.connection.close()
    await plain.own.stop()
    const back = await emptyHouse(file('back'))
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
        about: `${seconds(ours)} for ${mb(small)}, ${seconds(alone)} for ${mb(large)}; ${YEAR_HOUSE}`,
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
