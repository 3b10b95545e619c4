import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ROUTES } from '@kobrin/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const KOBRIN = fileURLToPath(new URL('../bin/kobrin.js', import.meta.url))

let dataDir: string
let port = 0

beforeAll(() => {
  dataDir = mkdtempSync(join(tmpdir(), 'kobrin-demo-'))
})
afterAll(() => rmSync(dataDir, { recursive: true, force: true }))

interface Running {
  pid: number
  said: () => string
  url: string
  /** What Ctrl-C does, pressed as often as asked. Answers the exit code. */
  interrupt: (times?: number) => Promise<number | null>
  kill: () => Promise<unknown>
}

async function run(...args: string[]): Promise<Running> {
  const child = spawn('node', [KOBRIN, ...args], {
    env: { ...process.env, KOBRIN_DATA_DIR: dataDir, KOBRIN_PORT: String(port) },
  })
  let said = ''
  child.stderr.on('data', (chunk: Buffer) => (said += String(chunk)))
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve))
  const url = await new Promise<string>((resolve, reject) => {
    child.once('exit', () => reject(new Error(said)))
    child.stdout.on('data', (chunk: Buffer) => {
      said += String(chunk)
      const found = /Kobrin is at (\S+)/.exec(said)?.[1]
      if (found) resolve(found)
    })
  })
  return {
    pid: child.pid ?? 0,
    said: () => said,
    url,
    interrupt: (times = 1) => {
      for (let press = 0; press < times; press += 1) child.kill('SIGINT')
      return ended
    },
    kill: () => {
      child.kill('SIGKILL')
      return ended
    },
  }
}

const demo = () => run('demo', '--days', '5')

async function headAt(url: string): Promise<string> {
  return ((await (await fetch(`${url}${ROUTES.health.url}`)).json()) as { head: string }).head
}

describe('the demonstration', () => {
  it('loads once, says who can sign in, and keeps its data over Ctrl-C and over a kill', async () => {
    const first = await demo()
    expect(first.said()).toContain('Loading')
    expect(first.said()).toMatch(/lotte +ropewalk lotte +1804 +keeper/)
    const head = await headAt(first.url)
    expect(Number(/^1:(\d+)/.exec(head)?.[1])).toBeGreaterThan(1000)
    expect(await first.interrupt(3)).toBe(0)

    const second = await demo()
    expect(second.said()).not.toContain('Loading')
    expect(await headAt(second.url)).toBe(head)
    await second.kill()

    const third = await demo()
    expect(await headAt(third.url)).toBe(head)
    expect(await third.interrupt()).toBe(0)
  })

  it('is served again by `start` when the server falls, with the reason in the log', async () => {
    port = await freePort()
    const house = await run('start')
    const head = await headAt(house.url)
    const [server] = readFileSync(`/proc/${house.pid}/task/${house.pid}/children`, 'utf8').split(' ')
    process.kill(Number(server), 'SIGKILL')
    await expect.poll(() => headAt(house.url).catch(() => ''), { timeout: 30_000 }).toBe(head)
    expect(house.said()).toContain('The server fell (SIGKILL). It is started again.')
    expect(await house.interrupt()).toBe(0)
    await expect(headAt(house.url)).rejects.toThrow()
  })
})

/** A command run to its end, in a folder. */
function kobrin(folder: string, ...args: string[]): string {
  const env = { ...process.env, KOBRIN_DATA_DIR: folder }
  const { status, stdout, stderr } = spawnSync('node', [KOBRIN, ...args], { env, encoding: 'utf8' })
  expect(status, stderr).toBe(0)
  return stdout
}

describe('a whole house', () => {
  it('is taken out and moves into an empty record, sound and with the same folds', () => {
    const file = join(dataDir, 'all.zip')
    expect(kobrin(dataDir, 'take-out', file)).toContain(file)
    const other = mkdtempSync(join(tmpdir(), 'kobrin-demo-'))
    try {
      const said = kobrin(other, 'move-in', file)
      expect(said).toMatch(/The Ropewalk is here as it was at/)
      expect(said).toMatch(/maren comes in with [0-9A-Z]{5}-[0-9A-Z]{5} until/)
      expect(said).toContain('The record is sound.')
      expect(kobrin(other, 'rebuild')).toMatch(/Replayed \d{4,} entries of \d{3} subjects: 0 differ/)
    } finally {
      rmSync(other, { recursive: true, force: true })
    }
  })
})

/** A port that is free now. */
function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0))
    })
  })
}
