import { rebuild } from '@kobrin/server'
import { openDatabase } from './open.ts'
import type { Settings } from './settings.ts'

/** Prints what a replay of everything says. The exit code is 1 when folds differ and were left. */
export async function reportRebuild(settings: Settings, write: boolean): Promise<number> {
  const opened = await openDatabase(settings)
  try {
    const { subjects, entries, differing } = await rebuild(opened.connection.db, { write })
    console.log(`Replayed ${entries} entries of ${subjects} subjects: ${differing.length} differ.`)
    for (const { subject, fields } of differing) console.log(`  ${subject}: ${fields.join(', ')}`)
    if (differing.length > 0)
      console.log(write ? 'They were put right.' : 'Run with --write to put them right.')
    return differing.length > 0 && !write ? 1 : 0
  } finally {
    await opened.close()
  }
}
