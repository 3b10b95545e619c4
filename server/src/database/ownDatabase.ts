import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  closeSync,
  openSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { connect as connectSocket } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createHash } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { KobrinFault } from '../errors/fault.ts'
import type { DatabaseAddress } from './connect.ts'
import { freePort } from './freePort.ts'
import { program } from './program.ts'

const SECRET = /^[0-9a-f]{48}$/
const START_PATIENCE_MS = 60_000
const STOP_PATIENCE_MS = 30_000
/** How often to look whether it still runs, and how long to wait after a start that failed. */
const WATCH_MS = 250
const AGAIN_MS = 5_000
/** Longer socket paths do not fit the operating system's address. */
const SOCKET_PATH_LIMIT = 100

const SERVER = {
  missing: 'The MariaDB server',
  packages: ['mariadb-server-core', 'mariadb-client-core'],
}

export interface OwnDatabase {
  address: DatabaseAddress
  /** Of the process that runs now. */
  pid: () => number
  stop: () => Promise<void>
}

export interface OwnDatabaseOptions {
  says?: (line: string) => void
  /** How long it may take to stop before it is ended. */
  stopPatienceMs?: number
}

interface Folder {
  data: string
  socket: string
  pidFile: string
  log: string
  initSql: string
  secret: string
}

function folderOf(dataDir: string): Folder {
  const inside = join(dataDir, 'mariadb.sock')
  const short = join(
    tmpdir(),
    `kobrin-${createHash('sha256').update(dataDir).digest('hex').slice(0, 12)}.sock`,
  )
  return {
    data: join(dataDir, 'mariadb'),
    socket: inside.length <= SOCKET_PATH_LIMIT ? inside : short,
    pidFile: join(dataDir, 'mariadb.pid'),
    log: join(dataDir, 'mariadb.log'),
    initSql: join(dataDir, 'mariadb-init.sql'),
    secret: join(dataDir, 'mariadb.secret'),
  }
}

/** Of its own: a MariaDB that starts throws away the temporary tables of any other that shares the folder. And not
 * beside the data: where that disk is full, what is there can still be read. */
function newScratch(): string {
  return mkdtempSync(join(tmpdir(), 'kobrin-scratch-'))
}

function letGoOf(scratch: string): void {
  rmSync(scratch, { recursive: true, force: true })
}

function asRoot(): string[] {
  return process.getuid?.() === 0 ? ['--user=root'] : []
}

/** A secret that a full disk or a power cut left empty is none: with it anybody could come in. */
function hasSecret(folder: Folder): boolean {
  return existsSync(folder.secret) && SECRET.test(readFileSync(folder.secret, 'utf8').trim())
}

function secretOf(folder: Folder): string {
  if (!hasSecret(folder)) {
    const fresh = `${folder.secret}.new`
    writeFileSync(fresh, randomBytes(24).toString('hex'), { mode: 0o600, flush: true })
    renameSync(fresh, folder.secret)
  }
  return readFileSync(folder.secret, 'utf8').trim()
}

/** The line that says what went wrong, among much that does not. */
function complaintIn(output: string): string {
  const lines = output.split('\n').filter((line) => line.trim() !== '')
  return lines.find((line) => line.includes('ERROR')) ?? lines.at(-1) ?? 'no reason given'
}

function createData(folder: Folder): void {
  if (existsSync(join(folder.data, 'mysql'))) return
  if (existsSync(folder.data) && readdirSync(folder.data).length > 0) {
    throw new KobrinFault(
      'database_damaged',
      `${folder.data} is not empty and holds no MariaDB database. Restore it from a backup, or move it away to begin anew.`,
    )
  }
  mkdirSync(folder.data, { recursive: true, mode: 0o700 })
  const scratch = newScratch()
  const made = spawnSync(
    program('mariadb-install-db', SERVER),
    [
      '--no-defaults',
      `--datadir=${folder.data}`,
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
      ...asRoot(),
    ],
    { encoding: 'utf8', env: { ...process.env, TMPDIR: scratch } },
  )
  letGoOf(scratch)
  if (made.status !== 0) {
    throw new KobrinFault(
      'database_damaged',
      `The database could not be created in ${folder.data}: ${complaintIn(made.stdout + made.stderr)}`,
    )
  }
}

/** Runs at every start: one owner with a secret of its own, nobody else, and the schema. */
function initStatements(secret: string): string {
  return [
    "DELETE FROM mysql.global_priv WHERE Host <> 'localhost' OR User = '';",
    'FLUSH PRIVILEGES;',
    `ALTER USER 'root'@'localhost' IDENTIFIED BY '${secret}';`,
    'CREATE DATABASE IF NOT EXISTS kobrin CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;',
    '',
  ].join('\n')
}

function answers(socketPath: string): Promise<boolean> {
  return new Promise((resolve) => {
    const attempt = connectSocket(socketPath)
    attempt.once('data', () => {
      attempt.destroy()
      resolve(true)
    })
    attempt.once('error', () => resolve(false))
    attempt.setTimeout(1000, () => {
      attempt.destroy()
      resolve(false)
    })
  })
}

/** Whether a process of that number runs. */
export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

async function stopped(pid: number, patienceMs = STOP_PATIENCE_MS): Promise<void> {
  if (!isAlive(pid)) return
  process.kill(pid, 'SIGTERM')
  const until = Date.now() + patienceMs
  while (isAlive(pid) && Date.now() < until) await sleep(50)
  // One that hangs hears nothing; what it acknowledged is on the disk.
  if (isAlive(pid)) process.kill(pid, 'SIGKILL')
  while (isAlive(pid)) await sleep(50)
}

function lastErrors(log: string): string {
  if (!existsSync(log)) return ''
  const lines = readFileSync(log, 'utf8').split('\n')
  return (
    lines
      .filter((line) => line.includes('[ERROR]'))
      .at(-2)
      ?.replace(/^.*\[ERROR\]\s*/, '') ?? ''
  )
}

function damaged(folder: Folder): KobrinFault {
  const why = lastErrors(folder.log)
  return new KobrinFault(
    'database_damaged',
    `The database in ${folder.data} will not start${why ? ` (${why})` : ''}. ` +
      `Its log is ${folder.log}. Restore it from a backup, or move the folder away to begin anew.`,
  )
}

async function launch(folder: Folder): Promise<number> {
  writeFileSync(folder.initSql, initStatements(secretOf(folder)), { mode: 0o600 })
  const scratch = newScratch()
  const log = openSync(folder.log, 'a', 0o600)
  // A group of its own, so that Ctrl-C in the terminal lets us close the record before the database goes.
  const child = spawn(
    program('mariadbd', SERVER),
    [
      '--no-defaults',
      `--datadir=${folder.data}`,
      `--socket=${folder.socket}`,
      `--tmpdir=${scratch}`,
      `--pid-file=${folder.pidFile}`,
      '--bind-address=127.0.0.1',
      `--port=${await freePort()}`,
      `--init-file=${folder.initSql}`,
      '--character-set-server=utf8mb4',
      '--innodb-buffer-pool-size=256M',
      '--innodb-log-file-size=128M',
      '--max-allowed-packet=64M',
      ...asRoot(),
    ],
    { detached: true, stdio: ['ignore', log, log] },
  )
  closeSync(log)
  child.unref()
  // A child that cannot be started says so in an event; one that dies has an exit code.
  child.once('error', () => undefined)
  child.once('exit', () => letGoOf(scratch))
  const until = Date.now() + START_PATIENCE_MS
  while (Date.now() < until) {
    if (child.exitCode !== null || child.pid === undefined) throw damaged(folder)
    if (await answers(folder.socket)) return child.pid
    await sleep(50)
  }
  if (child.pid !== undefined) await stopped(child.pid)
  throw damaged(folder)
}

function runningPid(folder: Folder): number | null {
  if (!existsSync(folder.pidFile)) return null
  const pid = Number(readFileSync(folder.pidFile, 'utf8').trim())
  return Number.isInteger(pid) && pid > 1 && isAlive(pid) ? pid : null
}

/** Where a database of our own that runs can be asked. */
export function ownAddress(dataDir: string): DatabaseAddress {
  const folder = folderOf(dataDir)
  return { socketPath: folder.socket, user: 'root', password: secretOf(folder), database: 'kobrin' }
}

/** Starts a MariaDB of our own in a private folder, or takes over the one a killed server left running.
 * Should it go while nobody told it to, it is started again: what was acknowledged is in it. */
export async function startOwnDatabase(
  dataDir: string,
  { says = () => undefined, stopPatienceMs }: OwnDatabaseOptions = {},
): Promise<OwnDatabase> {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 })
  const folder = folderOf(dataDir)
  const before = runningPid(folder)
  // One whose secret is lost is started again: only a start gives it another.
  const running = before !== null && (await answers(folder.socket)) ? before : null
  if (running !== null && !hasSecret(folder)) await stopped(running)
  const taken = running !== null && isAlive(running) ? running : null
  if (taken === null) createData(folder)
  let pid = taken ?? (await launch(folder))
  const ending = new AbortController()
  const pause = (ms: number) =>
    sleep(ms, undefined, { signal: ending.signal, ref: false }).catch(() => undefined)

  async function watch(): Promise<void> {
    for (await pause(WATCH_MS); !ending.signal.aborted; await pause(WATCH_MS)) {
      if (isAlive(pid)) continue
      says('The database had gone; it is being started again.')
      try {
        pid = await launch(folder)
      } catch (error) {
        says(error instanceof Error ? error.message : String(error))
        await pause(AGAIN_MS)
      }
    }
  }
  const watching = watch()

  return {
    address: ownAddress(dataDir),
    pid: () => pid,
    async stop() {
      ending.abort()
      await watching
      await stopped(pid, stopPatienceMs)
    },
  }
}
