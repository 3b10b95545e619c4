import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const KOBRIN = fileURLToPath(new URL('../bin/kobrin.js', import.meta.url))

let dataDir: string

beforeAll(() => {
  dataDir = mkdtempSync(join(tmpdir(), 'kobrin-cli-'))
})
afterAll(() => rmSync(dataDir, { recursive: true, force: true }))

interface Said {
  code: number | null
  out: string
  err: string
}

function kobrin(
  args: string[],
  { input = '', env = {} }: { input?: string; env?: Record<string, string> } = {},
): Said {
  const { status, stdout, stderr } = spawnSync('node', [KOBRIN, ...args], {
    input,
    encoding: 'utf8',
    // The schema of a walk with all its states is more than a megabyte.
    maxBuffer: 16_000_000,
    env: { ...process.env, KOBRIN_DATA_DIR: dataDir, ...env },
  })
  return { code: status, out: stdout, err: stderr }
}

describe('the command line', () => {
  it('lists what it can do', () => {
    const { out } = kobrin(['--help'])
    for (const command of ['demo', 'start', 'migrate', 'rebuild', 'backup', 'take-out', 'move-in', 'compute'])
      expect(out).toContain(command)
  })

  it('prints the JSON Schema of a computation, both ways', () => {
    const schema = JSON.parse(kobrin(['compute', 'walk', '--schema']).out) as Record<string, { type: string }>
    expect(schema['input']).toMatchObject({ type: 'object' })
    expect(schema['output']).toMatchObject({ type: 'object' })
  })

  it('answers one line for each line, in order, whatever is wrong with some', () => {
    const good = JSON.stringify({ day: 1, residents: [] })
    const { code, out } = kobrin(['compute', 'walk', '--lines'], { input: `${good}\nnonsense\n${good}\n` })
    const lines = out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as object)
    expect(code).toBe(0)
    expect(lines.map((line) => Object.keys(line)[0])).toEqual(['stops', 'error', 'stops'])
  })

  it.each([
    [['compute', 'walk'], '{"day": true}', /^day: /],
    [['compute', 'moonrise'], '', /no computation "moonrise"/],
    [['compute'], '', /--list/],
  ])('%s on bad input: exit 2 and one plain message', (args, input, message) => {
    const { code, out, err } = kobrin(args, { input })
    expect([code, out]).toEqual([2, ''])
    expect(err).toMatch(message)
    expect(err.trim().split('\n')).toHaveLength(1)
  })

  it('a port that is taken, a server that does not answer: one sentence, exit 1', async () => {
    const taken = createServer()
    const port = await new Promise<number>((resolve) => {
      taken.listen(0, '127.0.0.1', () => {
        const address = taken.address()
        resolve(typeof address === 'object' && address ? address.port : 0)
      })
    })
    const busy = kobrin(['start'], { env: { KOBRIN_PORT: String(port) } })
    taken.close()
    expect(busy.code).toBe(1)
    expect(busy.err).toMatch(new RegExp(`^Port ${port} is in use\\. .*KOBRIN_PORT=`))
    const away = kobrin(['migrate'], { env: { KOBRIN_DATABASE_URL: 'mysql://nobody@127.0.0.1:9/none' } })
    expect(away.code).toBe(1)
    expect(away.err.trim().split('\n')).toHaveLength(1)
  })

  it('migrates, rebuilds, and leaves nothing running', () => {
    expect(kobrin(['migrate']).out).toContain('up to date')
    const rebuilt = kobrin(['rebuild'])
    expect([rebuilt.code, rebuilt.out]).toEqual([0, 'Replayed 0 entries of 0 subjects: 0 differ.\n'])
    const left = spawnSync('pgrep', ['-f', dataDir], { encoding: 'utf8' }).stdout
    expect(left.trim()).toBe('')
  })

  it('writes the record to a file and brings it back into an empty place only', () => {
    const file = join(dataDir, 'record.sql.gz')
    expect(kobrin(['backup', file]).out).toBe(`The record is in ${file}.\n`)
    const elsewhere = { KOBRIN_DATA_DIR: join(dataDir, 'elsewhere') }
    const back = kobrin(['restore', file], { env: elsewhere })
    expect([back.code, back.out]).toEqual([0, expect.stringContaining('The record is sound.')])
    const none = kobrin(['restore', join(dataDir, 'none.gz')], { env: elsewhere })
    expect([none.code, none.err.trim()]).toEqual([1, expect.stringContaining('there is no such file')])
    expect(none.err.trim().split('\n')).toHaveLength(1)
  })

  it('lets one at a time at the data', async () => {
    const first = spawn('node', [KOBRIN, 'migrate'], { env: { ...process.env, KOBRIN_DATA_DIR: dataDir } })
    await new Promise((resolve) => setTimeout(resolve, 900))
    const lock = join(dataDir, 'kobrin.pid')
    const second = kobrin(['migrate'])
    await new Promise((resolve) => first.on('exit', resolve))
    // Whichever came first, they never ran side by side.
    if (second.code !== 0) expect(second.err).toContain('already running')
    expect(() => readFileSync(lock)).toThrow()
  })
})
