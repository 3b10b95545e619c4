import { expect, it } from 'vitest'
import type { Disk } from './disk.ts'
import type { Why } from './standstill.ts'
import { createStandstill } from './standstill.ts'

const noRoom = Object.assign(new Error('The table is full'), { errno: 1114 })

function watched(measured: () => Disk) {
  const whys: Why[] = []
  const standstill = createStandstill('/data', {
    everyMs: 1,
    measure: () => Promise.resolve(measured()),
    onChange: (why) => whys.push(why),
  })
  return { whys, standstill }
}

it('is found by looking at the disk, told once, and over when there is room', async () => {
  let disk: Disk = 'roomy'
  const { whys, standstill } = watched(() => disk)
  expect(await standstill.disk()).toBe('roomy')
  disk = 'full'
  await expect.poll(() => whys).toEqual(['disk_full'])
  disk = 'roomy'
  await expect.poll(() => whys).toEqual(['disk_full', null])
  await standstill.stop()
})

it('is found by what could not be written, where the disk cannot be seen, until something is', async () => {
  const { whys, standstill } = watched(() => 'unknown')
  standstill.tried(new Error('Something else'))
  standstill.tried(noRoom)
  standstill.tried(noRoom)
  expect([standstill.why(), await standstill.disk()]).toEqual(['disk_full', 'full'])
  standstill.tried(undefined)
  expect([whys, await standstill.disk()]).toEqual([['disk_full', null], 'unknown'])
  await standstill.stop()
})

it('tells of a database that is away before it tells of its disk', async () => {
  const { standstill } = watched(() => 'full')
  await standstill.disk()
  const heard: Why[] = []
  const unfollow = standstill.follow((why) => heard.push(why))
  standstill.found(false)
  standstill.found(true)
  unfollow()
  standstill.found(false)
  expect(heard).toEqual(['database_away', 'disk_full'])
  await standstill.stop()
})
