import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { rowsOf } from '../database/rowsOf.ts'
import { createOwnStream } from '../streams/ownStream.ts'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { smallSite } from '../testing/smallSite.ts'
import type { Changing } from './changing.ts'
import { changing } from './changing.ts'

let base: Scratch
beforeAll(async () => {
  base = await scratch(smallSite())
})
afterAll(() => base.drop())

it('a change by a server whose stream was taken over is made on a new stream, and only once', async () => {
  const stream = createOwnStream(base.db)
  const before = await stream.lease()
  await base.db.execute(sql`update stream set holder = ${uuidv7()} where id = ${before.stream}`)
  let writes = 0
  const change: Changing = {
    db: base.db,
    stream,
    author: { by: null, at: '2026-05-12T09:00:00.000Z', day: 20_585 },
  }
  const answer = await changing(change, async () => {
    writes += 1
    const what = { kind: 'sheet', sheet: 'leopard-gecko', version: 2, fields: null } as const
    return { changes: [{ what, reason: 'Shipped anew' }], answer: 'changed' }
  })
  const rows = await rowsOf<{ stream: number; seq: number }>(base.db, sql`select stream, seq from \`change\``)
  expect([answer, writes, rows.length]).toEqual(['changed', 2, 1])
  expect(rows[0]?.stream).not.toBe(before.stream)
  await stream.close()
})
