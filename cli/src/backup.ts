import { resolve } from 'node:path'
import { backup, checkRecord, restore } from '@kobrin/server'
import { openBeside, openDatabase } from './open.ts'
import type { Settings } from './settings.ts'

/** Writes the whole record to a file, also while a house is serving it. */
export async function makeBackup(settings: Settings, file: string): Promise<undefined> {
  const opened = await openBeside(settings)
  try {
    await backup(opened.address, resolve(file), new Date(), {
      db: opened.connection.db,
      folder: settings.photoDir,
    })
    console.log(`The record is in ${resolve(file)}.`)
  } finally {
    await opened.close()
  }
}

/** Brings a backup into an empty record and looks it over. The exit code is 1 when anything is wrong with it. */
export async function bringBack(settings: Settings, file: string): Promise<number> {
  const opened = await openDatabase(settings)
  try {
    const { at, version, missing } = await restore(
      opened.address,
      opened.connection,
      resolve(file),
      settings.photoDir,
    )
    const damages = await checkRecord(opened.connection.db)
    console.log(`Brought back as it was at ${at}, written by Kobrin ${version}.`)
    if (missing > 0) console.log(`${missing} pictures are not beside it, or not what they were.`)
    console.log(damages.length === 0 ? 'The record is sound.' : `${damages.length} found: kobrin check`)
    return damages.length === 0 ? 0 : 1
  } finally {
    await opened.close()
  }
}
