import { createHash } from 'node:crypto'
import type { PlanBook, Site } from '@kobrin/contract'
import { sayBookmark } from '@kobrin/contract'
import type { PlanRows, Sheet } from '@kobrin/core'
import { signedFor } from '@kobrin/core'
import type { Database } from '../database/connect.ts'
import { lastChanges } from '../changes/queries.ts'
import { readPlanBook, readSite, registerMark } from './queries.ts'

/** An answer as it is sent, and what tells it from the next. */
export interface Page {
  etag: string
  text: Buffer
}

export interface SiteBook {
  site: () => Promise<Page | null>
  plans: () => Promise<Page | null>
  /** What plans are made of; null before there is a house. */
  rows: () => Promise<PlanRows | null>
  /** The sheets in force, by id. */
  sheets: () => Promise<ReadonlyMap<string, Sheet>>
}

function pageOf(value: Site | PlanBook): Page {
  const text = Buffer.from(JSON.stringify(value))
  return { text, etag: `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"` }
}

/** Reads something once for everybody, and again only when its mark has changed. */
function once<T>(read: () => Promise<T>): (mark: string) => Promise<T> {
  let kept: { mark: string; value: Promise<T> } | null = null
  return (mark) => {
    if (kept?.mark === mark) return kept.value
    const reading = { mark, value: read() }
    kept = reading
    reading.value.catch(() => {
      if (kept === reading) kept = null
    })
    return reading.value
  }
}

/** Asks once for all who come while the question before is on its way; nobody is told what was so before
 * they came. */
function together<T>(ask: () => Promise<T>): () => Promise<T> {
  let before: Promise<unknown> = Promise.resolve()
  let next: Promise<T> | null = null
  return () => {
    next ??= before.then(() => {
      next = null
      const asking = ask()
      before = asking.catch(() => undefined)
      return asking
    })
    return next
  }
}

/** Reference data, read and printed once for all readers and again when something changed, whichever
 * server changed it: what a reader costs is the sending. */
export function createSiteBook(db: Database): SiteBook {
  const site = once(async () => {
    const read = await readSite(db)
    return read && pageOf(read)
  })
  const plans = once(async () => {
    const book = await readPlanBook(db)
    if (!book) return null
    const sheets = new Map(book.sheets.map((sheet) => [sheet.id, sheet]))
    const rows: PlanRows = { sheets, schools: book.schools, overrides: signedFor(book.overrides) }
    return { ...pageOf(book), rows }
  })
  const changeMark = together(async () => sayBookmark(await lastChanges(db)))
  const siteMark = together(async () => `${await changeMark()} ${await registerMark(db)}`)
  return {
    site: async () => site(await siteMark()),
    plans: async () => plans(await changeMark()),
    rows: async () => (await plans(await changeMark()))?.rows ?? null,
    sheets: async () => (await plans(await changeMark()))?.rows.sheets ?? new Map<string, Sheet>(),
  }
}
