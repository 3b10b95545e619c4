import { tmpdir } from 'node:os'
import { expect, it } from 'vitest'
import { diskOf } from './disk.ts'

it('tells whether there is room where the data lies, and that it does not know of anywhere else', async () => {
  expect([
    await diskOf(tmpdir(), 1),
    await diskOf(tmpdir(), Number.MAX_VALUE),
    await diskOf('/no/such/folder'),
    await diskOf(null),
  ]).toEqual(['roomy', 'full', 'unknown', 'unknown'])
})
