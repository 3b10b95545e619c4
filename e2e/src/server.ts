import { spawn } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const HOUSE = fileURLToPath(new URL('./house.ts', import.meta.url))
const PATIENCE_MS = 120_000

function opened(child: ReturnType<typeof spawn>): Promise<string> {
  return new Promise((resolve, reject) => {
    let said = ''
    const timer = setTimeout(() => reject(new Error(`The house did not open:\n${said}`)), PATIENCE_MS)
    const hear = (chunk: Buffer) => {
      said += String(chunk)
      const url = /Open at (\S+)/.exec(said)?.[1]
      if (!url) return
      clearTimeout(timer)
      resolve(url)
    }
    child.stdout?.on('data', hear)
    child.stderr?.on('data', hear)
    child.once('exit', (code) => reject(new Error(`The house ended with ${code}:\n${said}`)))
  })
}

/** A Ropewalk of its own for the browser tests, on any free port. */
export default async function start(): Promise<() => Promise<void>> {
  const dataDir = await mkdtemp(join(tmpdir(), 'kobrin-e2e-'))
  const child = spawn('node', ['--import', 'tsx', HOUSE, dataDir], { stdio: ['ignore', 'pipe', 'pipe'] })
  process.env['KOBRIN_E2E_URL'] = await opened(child)
  return async () => {
    const ended = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGTERM')
    await ended
    await rm(dataDir, { recursive: true, force: true })
  }
}
