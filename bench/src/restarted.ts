import type { ChildProcess } from 'node:child_process'
import { spawn, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'

const COMMAND = fileURLToPath(new URL('../../cli/bin/kobrin.js', import.meta.url))
const PORT = 4697
/** Between its end and its start. */
const PAUSE_MS = 200
/** It is up again some time within this, on the slowest machine we know: anyone who kills it while it starts
 * kills it at any moment of that. */
const STARTING_MS = 2500

/** Ways in which a machine can fall. */
export const FALLS = ['server', 'database', 'both', 'starting'] as const
export type Fall = (typeof FALLS)[number]

/** The demonstration under anyone who starts it again when it dies, as an operating system would. */
export class RestartedHouse {
  readonly url = `http://127.0.0.1:${PORT}`
  readonly #dataDir: string
  #child: ChildProcess | null = null
  #ending = false

  constructor(dataDir: string) {
    this.#dataDir = dataDir
    this.#start()
  }

  get #env() {
    return { ...process.env, KOBRIN_DATA_DIR: this.#dataDir, KOBRIN_PORT: String(PORT), KOBRIN_LOG: 'silent' }
  }

  #start(): void {
    const child = spawn('node', [COMMAND, 'demo', '--days', '20'], { env: this.#env, stdio: 'ignore' })
    child.once('exit', () => {
      this.#child = null
      if (!this.#ending) setTimeout(() => this.#start(), PAUSE_MS)
    })
    this.#child = child
  }

  #killServer(): void {
    this.#child?.kill('SIGKILL')
  }

  #killDatabase(): void {
    try {
      process.kill(Number(readFileSync(join(this.#dataDir, 'mariadb.pid'), 'utf8')), 'SIGKILL')
    } catch {
      // It is not up: that is what was wanted.
    }
  }

  async fall(fall: Fall): Promise<void> {
    if (fall !== 'database') this.#killServer()
    if (fall === 'database' || fall === 'both') this.#killDatabase()
    if (fall !== 'starting') return
    await sleep(PAUSE_MS + Math.random() * STARTING_MS)
    this.#killServer()
    this.#killDatabase()
  }

  /** Stops it in order, for good. */
  async stop(): Promise<void> {
    this.#ending = true
    this.#child?.kill('SIGINT')
    while (this.#child) await sleep(100)
  }

  #command(name: string): string {
    return spawnSync('node', [COMMAND, name], { env: this.#env, encoding: 'utf8' }).stdout
  }

  /** Folds that are not what their entries say, in a house that was stopped; NaN when nothing was replayed. */
  differing(): number {
    return Number(/: (\d+) differ/.exec(this.#command('rebuild'))?.[1] ?? NaN)
  }

  /** What the look over the whole record finds, in a house that is open. */
  damages(): number {
    const said = this.#command('check')
    return said.includes('The record is sound.') ? 0 : Number(/(\d+) found\./.exec(said)?.[1] ?? NaN)
  }
}
