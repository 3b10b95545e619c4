import { createWriteStream } from 'node:fs'
import { rename, rm } from 'node:fs/promises'
import { resolve } from 'node:path'
import { checkRecord, moveIn, takeOut } from '@kobrin/server'
import { openBeside, openDatabase } from './open.ts'
import type { Settings } from './settings.ts'

/** Writes everything on record to a zip file in open formats, also while a house is serving it. */
export async function exportAll(settings: Settings, file: string): Promise<undefined> {
  const opened = await openBeside(settings)
  const part = `${resolve(file)}.part`
  try {
    const output = createWriteStream(part, { mode: 0o600 })
    await takeOut(opened.connection.db, output, new Date(), settings.photoDir)
    await rename(part, resolve(file))
    console.log(`Everything is in ${resolve(file)}.`)
  } finally {
    await rm(part, { force: true })
    await opened.close()
  }
}

/** Makes a house again of what was taken out and looks it over. The exit code is 1 when anything is wrong with it. */
export async function importAll(settings: Settings, file: string): Promise<number> {
  const opened = await openDatabase(settings)
  try {
    const { name, at, codes, missing } = await moveIn(
      opened.connection.db,
      resolve(file),
      new Date(),
      settings.photoDir,
    )
    const damages = await checkRecord(opened.connection.db)
    console.log(`${name} is here as it was at ${at}.`)
    for (const { login, code, until } of codes) console.log(`  ${login} comes in with ${code} until ${until}`)
    if (missing > 0) console.log(`${missing} pictures are not in it, or not what they were.`)
    console.log(damages.length === 0 ? 'The record is sound.' : `${damages.length} found: kobrin check`)
    return damages.length === 0 ? 0 : 1
  } finally {
    await opened.close()
  }
}
