import type { Amendment, Entry } from '@kobrin/core'
import { echoesOf, isAmendment } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from '../entries/rows.ts'
import { ENTRY_COLUMNS, entryOf } from '../entries/rows.ts'

async function entriesBy(db: Database | Transaction, uids: readonly string[]): Promise<Entry[]> {
  if (uids.length === 0) return []
  return (await rowsOf<EntryRow>(db, sql`select ${ENTRY_COLUMNS} from entry where uid in ${uids}`)).map(
    entryOf,
  )
}

/** Who hears of what amendments speak of: of the fact that one amends, of one amended before that, and of what each
 * would have it say. Whoever reads an amendment without its fact cannot tell. */
export async function hearersOfAmended(
  db: Database | Transaction,
  amendments: readonly Amendment[],
): Promise<(uid: string) => string[]> {
  const spoken = new Map<string, Entry>(amendments.map((one) => [one.uid, one]))
  const targetsOf = (entries: readonly Entry[]) =>
    entries.filter(isAmendment).map(({ payload }) => payload.target)
  let wanted = targetsOf(amendments).filter((uid) => !spoken.has(uid))
  while (wanted.length > 0) {
    const found = await entriesBy(db, wanted)
    for (const entry of found) spoken.set(entry.uid, entry)
    wanted = targetsOf(found).filter((uid) => !spoken.has(uid))
  }

  function hearers(uid: string): string[] {
    const entry = spoken.get(uid)
    if (!entry) return []
    if (!isAmendment(entry)) return echoesOf(entry).map(({ subject }) => subject)
    const to = entry.kind === 'corrected' ? echoesOf({ ...entry, ...entry.payload.to }) : []
    return [...to.map(({ subject }) => subject), ...hearers(entry.payload.target)]
  }
  return (uid) => [...new Set(hearers(uid))]
}
