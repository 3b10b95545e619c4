import { createReadStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Writable } from 'node:stream'
import { Readable } from 'node:stream'
import { finished, pipeline } from 'node:stream/promises'
import type { KeptEntry } from '@kobrin/contract'
import { effectiveFacts, replay } from '@kobrin/core'
import { ZipFile } from 'yazl'
import type { Database, Transaction } from '../database/connect.ts'
import { KobrinFault } from '../errors/fault.ts'
import { fileOf as fileOfPhoto, isThere, SIZES } from '../photos/store.ts'
import type { Line, LinesOf, TakenEntry } from './format.ts'
import { fileOf, HOUSE_FILE, photoFile, schemaText } from './format.ts'
import type { Furnishing } from './rows.ts'
import { furnishingOf, historiesOf } from './rows.ts'
import type { Tables } from './tables.ts'
import { createTables } from './tables.ts'

const READ_ME = `Everything that was on record in this house, as of one moment.

house.json    whose record it is, its time zone, and how residents are numbered
lines/        everything there is, a JSON value to a line; "npx kobrin move-in FILE" makes a house of it again
schema.json   JSON Schema of house.json and of the lines of each file
photos/       the pictures, each as it is kept and small, under the name of what is in it
tables/       for a spreadsheet: the residents, and what was written of each kind, in the house's own time;
              corrected where it was corrected, without what was taken back

Nobody comes in with it: passphrases and PINs stay where they are, and so do sign-ins.
Days count from 1970-01-01; moments are UTC; grams, millimetres, degrees Celsius, litres.
`

async function* linesOf<K extends LinesOf>(rows: readonly Line<K>[]): AsyncGenerator<string> {
  for (const row of rows) yield `${JSON.stringify(row)}\n`
}

function taken({ stream, seq, recordedAt, ...entry }: KeptEntry): TakenEntry {
  return { stream, seq, recordedAt, entry }
}

/** The lines of every entry; on the way what counts of them goes into the tables. */
async function* entryLines(tx: Transaction, tables: Tables): AsyncGenerator<string> {
  for await (const history of historiesOf(tx)) {
    const facts = effectiveFacts(history)
    const isResident = facts.some(({ kind }) => kind === 'registered')
    await tables.take(facts, isResident ? replay('resident', history) : null)
    yield history.map((entry) => `${JSON.stringify(taken(entry))}\n`).join('')
  }
}

interface Packing {
  tx: Transaction
  furnishing: Furnishing
  /** Where tables are written before they are packed. */
  folder: string
  photos: string | null
}

async function pack(
  zip: ZipFile,
  { tx, furnishing, folder, photos }: Packing,
  signal: AbortSignal,
): Promise<void> {
  const add = async (name: string, stream: Readable) => {
    zip.addReadStream(stream, name)
    await finished(stream)
  }
  const text = (name: string, content: string) => zip.addBuffer(Buffer.from(content), name)
  const { house, ...lines } = furnishing
  text('README.txt', READ_ME)
  text(HOUSE_FILE, JSON.stringify(house))
  text('schema.json', schemaText())
  for (const name of Object.keys(lines) as (keyof typeof lines)[])
    await add(fileOf(name), Readable.from(linesOf(lines[name]), { signal }))
  const tables = createTables(folder, furnishing)
  await add(fileOf('entries'), Readable.from(entryLines(tx, tables), { signal }))
  for (const { name, path } of await tables.finish())
    await add(`tables/${name}`, createReadStream(path, { signal }))
  if (photos !== null)
    for (const hash of new Set(furnishing.photos.map((one) => one.hash)))
      for (const size of SIZES) {
        const file = fileOfPhoto(photos, hash, size)
        // One that is not there any more is missed when it is moved in.
        if (await isThere(file)) await add(photoFile(hash, size), createReadStream(file, { signal }))
      }
  zip.end()
}

/** Writes everything on record to a zip file in open formats, as it was at one moment, while the house is at work.
 * Throws KobrinFault `nothing_there` where no house was set up, and whatever keeps the output from taking it. */
export async function takeOut(
  db: Database,
  output: Writable,
  now: Date,
  photos: string | null = null,
): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-out-'))
  const given = new AbortController()
  try {
    await db.transaction(
      async (tx) => {
        const furnishing = await furnishingOf(tx, now.toISOString())
        if (!furnishing) throw new KobrinFault('nothing_there', 'No house has been set up here yet.')
        const zip = new ZipFile()
        // What goes wrong in a part is told by the part.
        zip.on('error', () => undefined)
        const written = pipeline(zip.outputStream, output)
        await Promise.all([written, pack(zip, { tx, furnishing, folder, photos }, given.signal)])
      },
      { isolationLevel: 'repeatable read', withConsistentSnapshot: true },
    )
  } finally {
    given.abort()
    await rm(folder, { recursive: true, force: true })
  }
}
