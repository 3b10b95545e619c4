import { spawnSync } from 'node:child_process'
import { statfsSync } from 'node:fs'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { readFeed } from '../testing/feedReader.ts'
import type { OwnHouse } from '../testing/ownHouse.ts'
import { openOwnHouse } from '../testing/ownHouse.ts'

const disk = await mkdtemp(join(tmpdir(), 'kobrin-disk-'))
const filler = join(disk, 'filler')
// A small disk that may be filled is to be had only where one may mount one.
const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=400m', 'tmpfs', disk]).status === 0

let house: OwnHouse

afterAll(async () => {
  if (mounted) spawnSync('umount', ['--lazy', disk])
  await rm(disk, { recursive: true })
})

/** The database writes as well meanwhile: anyone who asks for the last byte finds that it is taken. */
async function fill(): Promise<void> {
  const { bavail, bsize } = statfsSync(disk)
  await expect(writeFile(filler, Buffer.alloc((bavail + 1) * bsize))).rejects.toMatchObject({
    code: 'ENOSPC',
  })
}

/** Says more and more until it is not kept. */
async function untilRefused(): Promise<{ kept: number; refusal: unknown }> {
  for (let kept = 0; ; kept += 1) {
    const answer = await house.note('x'.repeat(3900))
    if (answer.statusCode !== 200) return { kept, refusal: answer.json() }
  }
}

describe.runIf(mounted)('a disk that is full', () => {
  beforeAll(async () => {
    house = await openOwnHouse(join(disk, 'house'))
    await house.app.listen({ host: '127.0.0.1', port: 0 })
  })
  afterAll(() => house.close())

  it('is told to whoever writes, to every screen and by health; nothing is lost, and with room all goes on', async () => {
    const screen = readFeed(house.app, house.keeper, '')
    await expect.poll(() => screen.told).toEqual(['standstill: null'])
    expect(await house.health()).toMatchObject({ disk: 'roomy', database: 'up' })

    await fill()
    const { kept, refusal } = await untilRefused()
    expect(refusal).toMatchObject({ code: 'disk_full' })
    expect(await house.health()).toMatchObject({ disk: 'full', database: 'up' })
    await expect.poll(() => screen.told.at(-1)).toContain('disk_full')
    const late = readFeed(house.app, house.keeper, '')
    await expect.poll(() => late.told.at(-1)).toContain('disk_full')

    await rm(filler)
    expect((await house.note('There is room again.')).json()).toMatchObject({
      receipts: [{ status: 'accepted' }],
    })
    expect(await house.health()).toMatchObject({ disk: 'roomy', database: 'up' })
    await expect.poll(() => [screen.told.at(-1), late.told.at(-1)]).toEqual(Array(2).fill('standstill: null'))
    await screen.reached(24 + kept + 1)
    expect(screen.entries).toHaveLength(24 + kept + 1)
    for (const reader of [screen, late]) reader.stop()
  })
})
