import type { Damage } from '@kobrin/server'
import { checkRecord } from '@kobrin/server'
import { openBeside } from './open.ts'
import type { Settings } from './settings.ts'

const SAYS: Record<Damage['what'], string> = {
  table: 'A table cannot be read',
  gap: 'Places are missing in a feed',
  withoutFold: 'Entries without a fold',
  withoutEntries: 'A fold without entries',
  family: 'An entry of another family',
  author: 'An entry by nobody',
  seal: 'An entry was changed',
  ahead: 'A fold ahead of the feed',
  register: 'The register does not fit',
  nowhere: 'Somebody is nowhere',
  fold: 'A fold that is not what its entries say',
}

/** Prints what is wrong with the record. The exit code is 1 when anything is. */
export async function reportCheck(settings: Settings): Promise<number> {
  const opened = await openBeside(settings)
  try {
    const damages = await checkRecord(opened.connection.db)
    for (const { what, about, detail } of damages) console.log(`${SAYS[what]}: ${about}: ${detail}.`)
    if (damages.some(({ what }) => what === 'fold'))
      console.log('Folds are put right by: kobrin rebuild --write')
    const other = damages.filter(({ what }) => what !== 'fold').length
    if (other > 0) console.log('Anything else is mended from a backup: stop the house before it writes on.')
    console.log(damages.length === 0 ? 'The record is sound.' : `${damages.length} found.`)
    return damages.length === 0 ? 0 : 1
  } finally {
    await opened.close()
  }
}
