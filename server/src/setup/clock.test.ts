import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Scratch } from '../testing/scratch.ts'
import { scratch } from '../testing/scratch.ts'
import { smallSite } from '../testing/smallSite.ts'
import { requireClock } from './clock.ts'

let base: Scratch
let last: number

beforeAll(async () => {
  base = await scratch(smallSite())
  const [rows] = await base.pool.query('select max(recorded_at) as at from entry')
  last = Date.parse(`${(rows as { at: string }[])[0]?.at.replace(' ', 'T') ?? ''}Z`)
})
afterAll(() => base.drop())

const at = (days: number) => requireClock(base.db, new Date(last + days * 86_400_000))

it.each([-30, -0.02, 121, 400])(
  'a clock %f days from the last entry is asked about before anything is served',
  async (days) => {
    await expect(at(days)).rejects.toMatchObject({ code: 'clock_wrong' })
  },
)

it.each([-0.005, 0, 1, 100])('a clock %f days from the last entry is believed', async (days) => {
  await expect(at(days)).resolves.toBeUndefined()
})

it('an empty record fits every clock', async () => {
  const empty = await scratch()
  await expect(requireClock(empty.db, new Date(0))).resolves.toBeUndefined()
  await empty.drop()
})
