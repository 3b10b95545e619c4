import { mkdir, readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { DatabaseAddress } from '../database/connect.ts'
import { isNight } from '../night.ts'
import type { PhotosHere } from './backup.ts'
import { backup } from './backup.ts'
import { keptOf } from './generations.ts'

const HOUR_MS = 3_600_000
/** A night's backup is due so long after the one before: begun a little sooner each night it stays in the night. */
const DUE_MS = 23.5 * HOUR_MS
/** How often it is looked whether one is due. */
const LOOK_MS = HOUR_MS / 4
/** After so long it is made whatever the hour: the server may be off at night. */
const OVERDUE_MS = 36 * HOUR_MS

const NAME = /^kobrin-(\d{4}-\d{2}-\d{2})T(\d{2})(\d{2})(\d{2})Z\.sql\.gz$/

function nameOf(at: Date): string {
  return `kobrin-${at.toISOString().slice(0, 19).replaceAll(':', '')}Z.sql.gz`
}

function momentOf(name: string): string | null {
  const [, day, hour, minute, second] = NAME.exec(name) ?? []
  return day === undefined ? null : `${day}T${hour}:${minute}:${second}.000Z`
}

/** The backups in a folder by their moment. A folder that is not there yet holds none. */
export async function backupsIn(folder: string): Promise<Map<string, string>> {
  const names = await readdir(folder).catch((error: unknown) => {
    if (error instanceof Error && 'code' in error && error.code === 'ENOENT') return []
    throw error
  })
  return new Map(
    names.flatMap((name) => {
      const at = momentOf(name)
      return at === null ? [] : [[at, join(folder, name)] as const]
    }),
  )
}

/** Whether a backup is to be made now: in the night, or when the last is too long ago. */
export function isDue(last: string | null, now: Date, hourHere: number): boolean {
  const since = last === null ? Infinity : now.getTime() - Date.parse(last)
  return since > OVERDUE_MS || (since > DUE_MS && isNight(hourHere))
}

/** Makes one, and lets go of those that are in no generation any more; those only once the new one is whole. */
export async function backupNow(
  address: DatabaseAddress,
  folder: string,
  now: Date,
  photos: PhotosHere | null = null,
): Promise<string> {
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const file = join(folder, nameOf(now))
  await backup(address, file, now, photos)
  const there = await backupsIn(folder)
  const kept = keptOf([...there.keys()])
  for (const [at, old] of there) if (!kept.has(at)) await rm(old)
  return file
}

export interface Nightly {
  folder: string
  /** When the last whole one was made; null where there is none. */
  last: () => Promise<string | null>
  stop: () => Promise<void>
}

export interface NightlyOptions {
  address: DatabaseAddress
  folder: string
  photos: PhotosHere | null
  now: () => Date
  /** The hour of the day in the house. */
  hourHere: () => Promise<number>
  /** Nothing is backed up before there is a house. */
  isThere: () => Promise<boolean>
  failed: (error: unknown) => void
}

/** Looks again and again whether a backup is due, and makes it. One that fails is said and tried again. */
export function startNightly({
  address,
  folder,
  photos,
  now,
  hourHere,
  isThere,
  failed,
}: NightlyOptions): Nightly {
  const last = async () => [...(await backupsIn(folder)).keys()].sort().at(-1) ?? null
  let working: Promise<void> | null = null

  async function look(): Promise<void> {
    if (!(await isThere()) || !isDue(await last(), now(), await hourHere())) return
    await backupNow(address, folder, now(), photos)
  }

  const timer = setInterval(() => {
    working ??= look()
      .catch(failed)
      .finally(() => (working = null))
  }, LOOK_MS)
  timer.unref()
  return {
    folder,
    last,
    async stop() {
      clearInterval(timer)
      await working
    },
  }
}
