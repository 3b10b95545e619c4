import { createServer } from 'node:net'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import {
  buildApp,
  houseName,
  KobrinFault,
  newCode,
  readLibrary,
  refold,
  renewLibrary,
  requireClock,
  shownCode,
} from '@kobrin/server'
import type { Opened } from './open.ts'
import { openDatabase } from './open.ts'
import type { Settings } from './settings.ts'
import { ROOT } from './settings.ts'
import { whenToldToStop } from './whenToldToStop.ts'
import { tellWatcher } from './watch.ts'

const CLOSE_PATIENCE_MS = 60_000
const PAGES = join(ROOT, 'web', 'dist')

/** Before anything else is started: is the port ours to take? */
async function requirePort({ host, port }: Settings): Promise<void> {
  if (port === 0) return
  await new Promise<void>((resolve, reject) => {
    const probe = createServer()
    probe.once('error', (error: NodeJS.ErrnoException) => {
      const why =
        error.code === 'EADDRINUSE'
          ? `Port ${port} is in use. Stop the program that has it, or choose another with KOBRIN_PORT=${port + 1}.`
          : `Port ${port} on ${host} cannot be opened (${error.message}). Choose another with KOBRIN_PORT.`
      reject(new KobrinFault('port_busy', why))
    })
    probe.listen(port, host, () => probe.close(() => resolve()))
  })
}

/** What the shipped library brings since the last start; what the site wrote stays. */
async function takeUpLibrary({ connection: { db } }: Opened): Promise<void> {
  const { renewed, kept } = await renewLibrary(db, readLibrary())
  if (renewed.length > 0) console.log(`Care sheets renewed: ${renewed.join(', ')}.`)
  if (kept.length > 0) console.log(`Changed here and left as they are: ${kept.join(', ')}.`)
}

const SAYS_EVERY_MS = 5_000

/** What an earlier version believed is folded again from the entries, beside the serving house. */
function foldAgain({ connection: { db } }: Opened, signal: AbortSignal): Promise<number> {
  let said = Date.now()
  const onProgress = (done: number, of: number) => {
    if (done < of && Date.now() - said < SAYS_EVERY_MS) return
    said = Date.now()
    console.log(`Folded again from their entries: ${done} of ${of} residents, places and lots.`)
  }
  return refold(db, { signal, onProgress }).catch((error: unknown) => {
    // They are shown as far as they can be told, and tried again at the next start.
    console.error('Not everything could be folded again.', error)
    return 0
  })
}

export interface ServeOptions {
  settings: Settings
  /** Fills an empty record before serving. */
  prepare?: (opened: Opened) => Promise<void>
  /** `firstCode`: with it the house is set up; null when it is. */
  greet: (url: string, firstCode: string | null) => void
}

/** Serves until told to stop, then puts everything away in order: requests, database, lock. */
export async function serve({ settings, prepare, greet }: ServeOptions): Promise<void> {
  await requirePort(settings)
  if (!existsSync(join(PAGES, 'index.html'))) {
    throw new KobrinFault('not_built', 'The interface has not been built yet. Run: npm run build')
  }
  const stop = whenToldToStop()
  const opened = await openDatabase(settings)
  try {
    await prepare?.(opened)
    // The demonstration is an invented house: its story ends when it was told.
    if (!settings.believeClock && !prepare) await requireClock(opened.connection.db, new Date())
    await takeUpLibrary(opened)
    const folding = new AbortController()
    const refolded = foldAgain(opened, folding.signal)
    const firstCode = (await houseName(opened.connection.db)) === null ? newCode() : null
    const app = await buildApp({
      connection: opened.connection,
      pages: PAGES,
      hosts: settings.hosts,
      trustProxy: settings.trustProxy,
      dataDir: settings.databaseUrl === null ? settings.dataDir : null,
      photos: settings.photoDir,
      balances: settings.balances,
      fitsCurves: true,
      firstCode,
      refolded,
      // The demonstration can be told again.
      backups: prepare ? null : { address: opened.address, folder: settings.backupDir },
      logger: { level: process.env['KOBRIN_LOG'] ?? 'warn' },
    })
    await app.listen({ host: settings.host, port: settings.port })
    const address = app.server.address()
    const port = typeof address === 'object' && address ? address.port : settings.port
    greet(`http://${settings.host}:${port}`, firstCode && shownCode(firstCode))
    tellWatcher()
    await stop
    console.log('\nClosing the record …')
    // What is acknowledged is on the disk: something that hangs is no reason to stay.
    setTimeout(() => process.exit(1), CLOSE_PATIENCE_MS).unref()
    folding.abort()
    await refolded
    await app.close()
  } finally {
    await opened.close()
  }
}
