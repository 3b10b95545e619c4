import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { open, rename, rm } from 'node:fs/promises'
import { Transform } from 'node:stream'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { z } from 'zod'
import type { Database, DatabaseAddress } from '../database/connect.ts'
import { KobrinFault } from '../errors/fault.ts'
import { carryPhotos, photosIn, photosOnRecord } from '../photos/carry.ts'
import { VERSION } from '../version.ts'
import { startProgram } from './programs.ts'

const MARK = '-- kobrin-backup '
/** With it MariaDB's own program says that it got to the end. */
const COMPLETE = '-- Dump completed'
const TAIL_BYTES = 200
const HEAD_BYTES = 1000
/** Packed harder, it would keep a core busy for longer than the database takes to tell it. */
const PACKING = { level: 1, chunkSize: 256 * 1024 }

const Header = z.strictObject({ version: z.string(), at: z.iso.datetime() })
export type BackupHeader = z.infer<typeof Header>

/** Pictures as they lie here. */
export interface PhotosHere {
  db: Database
  folder: string
}

/** Pictures of every backup in a folder, once each. */
export function photosBeside(file: string): string {
  return join(dirname(file), 'photos')
}

/** One state of the whole record, as of one moment, while the house is at work; with the history of what people
 * edit, which the database keeps of its own. */
export const ALL_OF_IT = [
  '--single-transaction',
  '--skip-lock-tables',
  '--dump-history',
  '--hex-blob',
  '--default-character-set=utf8mb4',
]

/** The end of a text that comes piece by piece. */
function tailAfter(tail: Buffer, chunk: Buffer): Buffer {
  return chunk.length >= TAIL_BYTES
    ? chunk.subarray(-TAIL_BYTES)
    : Buffer.concat([tail, chunk]).subarray(-TAIL_BYTES)
}

/** Puts the header before what the program says, and knows whether that came to its end. */
function headed(header: BackupHeader): { through: Transform; isWhole: () => boolean } {
  let isBegun = false
  let tail: Buffer = Buffer.alloc(0)
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      tail = tailAfter(tail, chunk)
      if (isBegun) return done(null, chunk)
      isBegun = true
      done(null, Buffer.concat([Buffer.from(`${MARK}${JSON.stringify(header)}\n`), chunk]))
    },
  })
  return { through, isWhole: () => tail.includes(COMPLETE) }
}

/** Hands on what passes, and sums it up. */
function summedUp(): { through: Transform; sum: () => string } {
  const hash = createHash('sha256')
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk)
      done(null, chunk)
    },
  })
  return { through, sum: () => hash.digest('hex') }
}

/** Whether a file holds what was written to it. */
async function requireAsWritten(file: string, sum: string): Promise<void> {
  const hash = createHash('sha256')
  await pipeline(createReadStream(file), hash)
  if (hash.digest('hex') !== sum) throw new Error('the disk does not hold what was written')
}

async function onDisk(file: string): Promise<void> {
  const handle = await open(file, 'r+')
  await handle.sync()
  await handle.close()
}

/** Writes the whole record to a file. What is at that name before stays until the new one is whole and on the disk.
 * Throws KobrinFault with what went wrong. */
export async function backup(
  address: DatabaseAddress,
  file: string,
  now: Date,
  photos: PhotosHere | null = null,
): Promise<BackupHeader> {
  const part = `${file}.part`
  const header = { version: VERSION, at: now.toISOString() }
  try {
    const { process, ended } = startProgram('mariadb-dump', address, ALL_OF_IT)
    const output = createWriteStream(part, { mode: 0o600 })
    const [dumped, packed] = [headed(header), summedUp()]
    await Promise.all([
      pipeline(process.stdout, dumped.through, createGzip(PACKING), packed.through, output),
      ended,
    ])
    if (!dumped.isWhole()) throw new Error('mariadb-dump did not come to its end')
    await onDisk(part)
    await requireAsWritten(part, packed.sum())
    // A picture is on the disk before it is on record: whatever the record names is there by now.
    if (photos)
      await carryPhotos(await photosOnRecord(photos.db), photosIn(photos.folder), photosBeside(file))
    await rename(part, file)
    return header
  } catch (error) {
    await rm(part, { force: true })
    if (error instanceof KobrinFault) throw error
    const why = error instanceof Error ? error.message : String(error)
    throw new KobrinFault('backup_failed', `The backup could not be written to ${file}: ${why}`, {
      cause: error,
    })
  }
}

/** What a file says of itself, once it was read to its end. Throws KobrinFault `backup_damaged` where it is none of
 * ours, or was cut short. */
export async function verify(file: string): Promise<BackupHeader> {
  let head = Buffer.alloc(0)
  let tail: Buffer = Buffer.alloc(0)
  const gunzip = createGunzip()
  gunzip.on('data', (chunk: Buffer) => {
    if (head.length < HEAD_BYTES) head = Buffer.concat([head, chunk.subarray(0, HEAD_BYTES)])
    tail = tailAfter(tail, chunk)
  })
  const damaged = (why: string, cause?: unknown) =>
    new KobrinFault('backup_damaged', `${file} is no whole backup of Kobrin: ${why}.`, { cause })
  try {
    await pipeline(createReadStream(file), gunzip)
  } catch (cause) {
    const isAway = cause instanceof Error && 'code' in cause && cause.code === 'ENOENT'
    throw damaged(isAway ? 'there is no such file' : 'it ends too soon, or is of another kind', cause)
  }
  const [first = ''] = head.toString().split('\n')
  if (!first.startsWith(MARK)) throw damaged('it does not say that it is one')
  if (!tail.toString().includes(COMPLETE)) throw damaged('its end is missing')
  return Header.parse(JSON.parse(first.slice(MARK.length)))
}

/** Brings a verified backup into a database in which nothing is on record. */
export async function pourIn(address: DatabaseAddress, file: string): Promise<void> {
  const { process, ended } = startProgram('mariadb', address, ['--batch', '--default-character-set=utf8mb4'])
  process.stdout.resume()
  await Promise.all([pipeline(createReadStream(file), createGunzip(), process.stdin), ended])
}
