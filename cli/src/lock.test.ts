import { spawn } from 'node:child_process'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { lockData } from './lock.ts'

let folder: string
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kobrin-lock-'))
})
afterEach(() => rm(folder, { recursive: true }))

const file = () => join(folder, 'kobrin.pid')

/** Somebody else's process, for as long as a test needs it. */
async function beside(test: (pid: number) => unknown): Promise<void> {
  const child = spawn('sleep', ['30'])
  try {
    await test(child.pid ?? 0)
  } finally {
    child.kill()
  }
}

it('keeps a second one out while the first runs, and is gone with it', async () => {
  const unlock = lockData(folder)
  const mine = await readFile(file(), 'utf8')
  await beside(async (pid) => {
    // The same lock as another process of ours would see it.
    const stat = await readFile(`/proc/${pid}/stat`, 'utf8')
    const [boot] = mine.split(' ').slice(1)
    await writeFile(file(), `${pid} ${boot ?? ''} ${stat.split(' ')[21] ?? ''}`)
    expect(() => lockData(folder)).toThrow(`process ${pid}`)
  })
  unlock()
  await expect(readFile(file())).rejects.toThrow('ENOENT')
})

it('left by a power cut is no lock when its number belongs to another process now', async () => {
  await beside(async (pid) => {
    await writeFile(file(), `${pid} 0fb1c9a0-before-the-cut 4711`)
    expect(() => lockData(folder)).not.toThrow()
  })
})

it.each(['', 'nonsense', '1', '-4', '999999999'])('with "%s" in it is no lock', async (left) => {
  await writeFile(file(), left)
  expect(() => lockData(folder)).not.toThrow()
})
