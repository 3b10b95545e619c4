import type { ChildProcess } from 'node:child_process'
import { spawn, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import type { BatchAnswer, Bookmark, Change, KeptEntry, Me, Site } from '@kobrin/contract'
import { addressOf, advanced, ROUTES, sayBookmark } from '@kobrin/contract'
import type { PostedEntry } from '@kobrin/core'
import { demoPassphrase } from '@kobrin/demo'
import { v7 as uuidv7 } from 'uuid'
import type { Figure } from './figures.ts'
import { residentsOf } from './session.ts'

const COMMAND = fileURLToPath(new URL('../../cli/bin/kobrin.js', import.meta.url))
const WRITERS = 32
const KILLS = 20
/** Residents everyone writes about, so that they get in each other's way. */
const RESIDENTS = 40
/** Entries that have to be acknowledged after a kill before the next. */
const ENOUGH = 200
const PORT = 4697
const BASE = `http://127.0.0.1:${PORT}`

/** The demonstration under whoever starts it again when it dies, as an operating system would. */
class Keeper {
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
      if (!this.#ending) setTimeout(() => this.#start(), 200)
    })
    this.#child = child
  }

  killServer(): void {
    this.#child?.kill('SIGKILL')
  }

  killDatabase(): void {
    process.kill(Number(readFileSync(join(this.#dataDir, 'mariadb.pid'), 'utf8')), 'SIGKILL')
  }

  /** Stops it in order, for good. */
  async stop(): Promise<void> {
    this.#ending = true
    this.#child?.kill('SIGINT')
    while (this.#child) await sleep(100)
  }

  /** Replays every fold and returns what the replay says. */
  replay(): string {
    return spawnSync('node', [COMMAND, 'rebuild'], { env: this.#env, encoding: 'utf8' }).stdout
  }
}

async function ask<T>(path: string, cookie: string, body?: unknown): Promise<T> {
  const response = await fetch(`${BASE}${path}`, {
    method: body === undefined ? 'GET' : 'POST',
    headers: { cookie, ...(body !== undefined && { 'content-type': 'application/json' }) },
    signal: AbortSignal.timeout(8000),
    ...(body !== undefined && { body: JSON.stringify(body) }),
  })
  if (!response.ok) throw new Error(`${path}: ${response.status}`)
  return (await response.json()) as T
}

async function patiently<T>(work: () => Promise<T>): Promise<T> {
  for (;;) {
    const answer = await work().catch(() => null)
    if (answer !== null) return answer
    await sleep(50)
  }
}

async function signIn(): Promise<{ cookie: string; me: Me }> {
  const response = await fetch(`${BASE}${ROUTES.signIn.url}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'lotte', passphrase: demoPassphrase('lotte') }),
  })
  if (!response.ok) throw new Error(`Signing in: ${response.status}`)
  const cookie = response.headers.getSetCookie().map((one) => one.split(';')[0])
  return { cookie: cookie.join('; '), me: (await response.json()) as Me }
}

async function feedOf(cookie: string): Promise<KeptEntry[]> {
  const feed: KeptEntry[] = []
  let read: Bookmark = {}
  for (;;) {
    const path = addressOf(ROUTES.since.url, {}, { after: sayBookmark(read) })
    const { entries } = await ask<{ entries: KeptEntry[] }>(path, cookie)
    if (entries.length === 0) return feed
    feed.push(...entries)
    read = entries.reduce(advanced, read)
  }
}

interface Placed {
  stream: number
  seq: number
}

/** Places that nobody stands at, in all streams. */
function gapsIn(places: readonly Placed[]): number {
  const last = new Map<number, number>()
  for (const { stream, seq } of places) last.set(stream, Math.max(seq, last.get(stream) ?? 0))
  return [...last.values()].reduce((sum, seq) => sum + seq, 0) - places.length
}

async function killedUnderWriters(keeper: Keeper): Promise<Figure[]> {
  const { cookie, me } = await patiently(signIn)
  const residents = residentsOf(await ask<Site>(ROUTES.site.url, cookie))
  const acknowledged = new Set<string>()
  const waits: number[] = []
  let made = 0
  let stopping = false

  async function write(): Promise<void> {
    while (!stopping) {
      made += 1
      const entry: PostedEntry = {
        uid: uuidv7(),
        subject: residents[made % RESIDENTS] ?? '',
        kind: 'watered',
        occurredAt: new Date().toISOString(),
        author: me.person.id,
        payload: { duty: 'water', litres: 0.2 },
      }
      // As a browser does: the same entry again until somebody says that it is kept.
      const { receipts } = await patiently(() =>
        ask<BatchAnswer>(ROUTES.append.url, cookie, { entries: [entry] }),
      )
      if (receipts[0]?.status === 'accepted') acknowledged.add(entry.uid)
    }
  }

  const writers = Array.from({ length: WRITERS }, write)
  for (let kill = 0; kill < KILLS; kill += 1) {
    await sleep(300 + Math.random() * 700)
    if (kill % 2 === 0) keeper.killServer()
    else keeper.killDatabase()
    const [before, since] = [acknowledged.size, performance.now()]
    while (acknowledged.size < before + ENOUGH) await sleep(20)
    waits.push(performance.now() - since)
  }
  stopping = true
  await Promise.all(writers)

  const feed = await feedOf(cookie)
  const changes = addressOf(ROUTES.changes.url, {}, { since: 0 })
  const told = await ask<{ changes: Change[] }>(changes, cookie)
  const uids = new Set(feed.map(({ uid }) => uid))
  await keeper.stop()
  const replayed = keeper.replay()
  const about = `${KILLS} kills under ${WRITERS} writers, ${acknowledged.size} acknowledged; longest wait ${Math.round(Math.max(...waits))} ms`
  const none = (name: string, value: number): Figure => ({ name, value, limit: 0, about })
  return [
    none('kill-acknowledged-lost', [...acknowledged].filter((uid) => !uids.has(uid)).length),
    none('kill-doubled', feed.length - uids.size),
    none('kill-gaps', gapsIn([...feed, ...told.changes])),
    none('kill-folds-differing', Number(/: (\d+) differ/.exec(replayed)?.[1] ?? NaN)),
  ]
}

/** Server and database killed in turn under many writers: what was acknowledged is there, once and in
 * an unbroken feed, and the folds say what the entries say. */
export async function killFigures(): Promise<Figure[]> {
  const dataDir = await mkdtemp(join(tmpdir(), 'kobrin-kill-'))
  const keeper = new Keeper(dataDir)
  try {
    return await killedUnderWriters(keeper)
  } finally {
    await keeper.stop()
    await rm(dataDir, { recursive: true, force: true })
  }
}
