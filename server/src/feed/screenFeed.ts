import type { Bookmark } from '@kobrin/contract'
import type { Amendment, Entry } from '@kobrin/core'
import { echoesOf, isAmendment } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from '../entries/rows.ts'
import { ENTRY_COLUMNS, entryOf } from '../entries/rows.ts'
import type { FeedRow } from './rows.ts'
import { feedAfter } from './rows.ts'

async function entriesBy(db: Database, uids: readonly string[]): Promise<Entry[]> {
  if (uids.length === 0) return []
  return (await rowsOf<EntryRow>(db, sql`select ${ENTRY_COLUMNS} from entry where uid in ${uids}`)).map(
    entryOf,
  )
}

/** A row of the feed as a screen is told it. */
export interface ScreenRow extends FeedRow {
  /** Other subjects that may have heard of what it amends, and are to be asked for. */
  anew?: readonly string[]
}

/** Entries by their name: amendments, and all that they amend. */
async function spokenOf(db: Database, amendments: readonly Amendment[]): Promise<ReadonlyMap<string, Entry>> {
  const spoken = new Map<string, Entry>()
  for (let found: readonly Entry[] = amendments; found.length > 0;) {
    for (const entry of found) spoken.set(entry.uid, entry)
    const targets = found.filter(isAmendment).map(({ payload }) => payload.target)
    found = await entriesBy(
      db,
      targets.filter((uid) => !spoken.has(uid)),
    )
  }
  return spoken
}

/** Who hears of what an entry says, or would have another say, and of what it amends. */
function hearersOfAll(entry: Entry | undefined, spoken: ReadonlyMap<string, Entry>): string[] {
  if (!entry) return []
  if (!isAmendment(entry)) return echoesOf(entry).map(({ subject }) => subject)
  const to = entry.kind === 'corrected' ? echoesOf({ ...entry, ...entry.payload.to }) : []
  const before = hearersOfAll(spoken.get(entry.payload.target), spoken)
  return [...new Set([...to.map(({ subject }) => subject), ...before])]
}

/** The feed after a bookmark, for screens: one that reads an amendment without its fact cannot tell who heard of it. */
export async function screenFeedAfter(db: Database, after: Bookmark, limit: number): Promise<ScreenRow[]> {
  const rows = await feedAfter(db, after, limit)
  const amendments = new Map(
    rows.flatMap((row) => (row.amends ? [[row, JSON.parse(row.json) as Amendment] as const] : [])),
  )
  const spoken = await spokenOf(db, [...amendments.values()])
  return rows.map((row) => {
    const anew = hearersOfAll(amendments.get(row), spoken)
    return anew.length > 0 ? { ...row, anew } : row
  })
}
