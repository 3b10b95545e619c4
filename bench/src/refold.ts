import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { refold } from '@kobrin/server'
import type { Figure } from './figures.ts'
import { timed } from './figures.ts'
import { YEAR_HOUSE, yearHouse } from './yearHouse.ts'

/** In which a million entries are folded again, milliseconds. */
const LIMIT_MS = 180_000
const MILLION = 1_000_000

/** A house whose folds an earlier version made, folded again from every entry beside a serving house. */
export async function refoldFigures(): Promise<Figure[]> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-refold-'))
  const { own, connection } = await yearHouse(join(folder, 'house'))
  try {
    await connection.pool.query('update subject set revision = revision - 1')
    const [[row]] = (await connection.pool.query('select count(*) as entries from entry')) as unknown as [
      [{ entries: number }],
    ]
    let steps = 0
    const took = await timed(() => refold(connection.db, { onProgress: () => (steps += 1) }))
    return [
      {
        name: 'refolding-a-million-to-180-s',
        value: (took * MILLION) / row.entries / LIMIT_MS,
        limit: 1,
        about: `${(took / 1000).toFixed(0)} s for ${row.entries} entries, told ${steps} times; ${YEAR_HOUSE}`,
      },
    ]
  } finally {
    await connection.close()
    await own.stop()
    await rm(folder, { recursive: true, force: true })
  }
}
