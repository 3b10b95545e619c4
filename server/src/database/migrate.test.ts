import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { checkRecord } from '../setup/check.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { smallSite } from '../testing/smallSite.ts'
import { migrate } from './migrate.ts'

let base: Scratch

beforeAll(async () => {
  base = await scratch(smallSite())
})
afterAll(() => base.drop())

async function tables(): Promise<string[]> {
  const [rows] = await base.pool.query(
    'select table_name as name from information_schema.tables where table_schema = database()',
  )
  return (rows as { name: string }[]).map(({ name }) => name).sort()
}

describe('migrations', () => {
  it('change nothing when they have been run, also by several servers at once', async () => {
    const before = await tables()
    const others = await Promise.all([base.again(), base.again(), base.again()])
    await Promise.all(others.map(migrate))
    await Promise.all(others.map((other) => other.close()))
    expect(await tables()).toEqual(before)
  })

  it('keep the history of what people edit', async () => {
    await base.pool.query("update room set name = 'Renamed'")
    const [rows] = await base.pool.query('select name from room for system_time all order by row_start')
    expect((rows as { name: string }[]).map(({ name }) => name)).toEqual(['Room', 'Renamed'])
  })

  it('seal what was kept before there were seals', async () => {
    const file = fileURLToPath(new URL('../../migrations/0002_seal.sql', import.meta.url))
    await base.pool.query('alter table entry drop column seal')
    await base.pool.query(readFileSync(file, 'utf8'))
    expect(await checkRecord(base.db)).toEqual([])
  })

  it('start the feed at nothing', async () => {
    const fresh = await scratch()
    const [rows] = await fresh.pool.query('select seq from stream')
    expect(rows).toEqual([])
    await fresh.drop()
  })
})
