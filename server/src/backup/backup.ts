import { createReadStream, createWriteStream } from 'node:fs'
import { open, rename, rm } from 'node:fs/promises'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { z } from 'zod'
import type { DatabaseAddress } from '../database/connect.ts'
import { KobrinFault } from '../errors/fault.ts'
import { VERSION } from '../version.ts'
import { startProgram } from './programs.ts'

const MARK = '-- kobrin-backup '
/** With it MariaDB's own program says that it got to the end. */
const COMPLETE = '-- Dump completed'
const TAIL_BYTES = 200
const HEAD_BYTES = 1000

const Header = z.strictObject({ version: z.string(), at: z.iso.datetime() })
export type BackupHeader = z.infer<typeof Header>

/** One state of the whole record, as of one moment, while the house is at work; with the history of what people
 * edit, which the database keeps of its own. */
const ALL_OF_IT = [
  '--single-transaction',
  '--skip-lock-tables',
  '--dump-history',
  '--hex-blob',
  '--default-character-set=utf8mb4',
]

function headed(header: BackupHeader): Transform {
  let isBegun = false
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      if (isBegun) return done(null, chunk)
      isBegun = true
      done(null, Buffer.concat([Buffer.from(`${MARK}${JSON.stringify(header)}\n`), chunk]))
    },
  })
}

async function onDisk(file: string): Promise<void> {
  const handle = await open(file, 'r+')
  await handle.sync()
  await handle.close()
}

/** Writes the whole record to a file. What is at that name before stays until the new one is whole and on the disk.
 * Throws KobrinFault with what went wrong. */
export async function backup(address: DatabaseAddress, file: string, now: Date): Promise<BackupHeader> {
  const part = `${file}.part`
  const header = { version: VERSION, at: now.toISOString() }
  try {
    const { process, ended } = startProgram('mariadb-dump', address, ALL_OF_IT)
    const output = createWriteStream(part, { mode: 0o600 })
    await Promise.all([pipeline(process.stdout, headed(header), createGzip({ level: 6 }), output), ended])
    await onDisk(part)
    await verify(part)
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
  let tail = Buffer.alloc(0)
  const gunzip = createGunzip()
  gunzip.on('data', (chunk: Buffer) => {
    if (head.length < HEAD_BYTES) head = Buffer.concat([head, chunk.subarray(0, HEAD_BYTES)])
    tail = Buffer.concat([tail, chunk]).subarray(-TAIL_BYTES)
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
