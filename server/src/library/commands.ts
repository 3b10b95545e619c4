import type { KeepSheet, SheetAnswer } from '@kobrin/contract'
import type { Sheet } from '@kobrin/core'
import { dayFromIso, differences } from '@kobrin/core'
import { max, eq } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import type { Changer, Changing, NewChange } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import { sheet } from '../site/tables.ts'
import { createOwnStream } from '../streams/ownStream.ts'
import { inUseFaults } from './inUse.ts'
import { historyOfSheet } from './queries.ts'
import { readSheetApart } from './readSheetApart.ts'
import { writeSheetText } from './sheetText.ts'
import { sheetShipped, sheetVersion } from './tables.ts'

async function nextVersion(tx: Transaction, id: string): Promise<number> {
  const [row] = await tx
    .select({ last: max(sheetVersion.version) })
    .from(sheetVersion)
    .where(eq(sheetVersion.sheetId, id))
  return (row?.last ?? 0) + 1
}

async function putInForce(
  tx: Transaction,
  doc: Sheet,
  text: { yaml: string; why: string },
  { by, at }: Pick<Changer, 'by' | 'at'>,
): Promise<number> {
  const version = await nextVersion(tx, doc.id)
  await tx.insert(sheetVersion).values({ sheetId: doc.id, version, authorId: by, madeAt: at, ...text })
  await tx.insert(sheet).values({ id: doc.id, doc }).onDuplicateKeyUpdate({ set: { doc } })
  return version
}

/** Reads, judges and keeps a sheet as somebody wrote it. The version in force stays until then. */
export async function keepSheet(
  by: Changing,
  id: string,
  { yaml, why, confirmed, basedOn }: KeepSheet,
): Promise<SheetAnswer> {
  const read = await readSheetApart(yaml)
  if ('faults' in read) return { status: 'faulty', faults: read.faults }
  const doc = read.sheet
  if (doc.id !== id)
    return {
      status: 'faulty',
      faults: [{ line: 1, field: 'id', what: { code: 'otherSheet', sheet: doc.id, asked: id } }],
    }
  // A page that puts a sheet together writes it as data: it is kept as everybody reads it.
  const text = yaml.trimStart().startsWith('{') ? writeSheetText(doc) : yaml
  const { questions } = read
  if (questions.length > 0 && !confirmed) return { status: 'asked', questions }
  return changing<SheetAnswer>(by, async (tx) => {
    const [before] = await tx.select().from(sheet).where(eq(sheet.id, id))
    const faults = await inUseFaults(tx, doc)
    if (faults.length > 0) return { changes: [], answer: { status: 'faulty', faults } }
    const last = (await historyOfSheet(tx, id))[0]?.version ?? 0
    if (basedOn !== undefined && basedOn !== last)
      return { changes: [], answer: { status: 'overtaken', version: last } }
    const version = await putInForce(tx, doc, { yaml: text, why }, by.author)
    const fields = before ? differences(before.doc, doc).map(({ path }) => path) : null
    return {
      changes: [{ what: { kind: 'sheet', sheet: id, version, fields }, reason: why }],
      answer: { status: 'kept', version },
    }
  })
}

type Taken = 'new' | 'same' | 'renewed' | 'kept'

/** Takes up one shipped sheet, unless somebody here wrote their own, or residents stand on what it drops. */
async function takeUp(
  tx: Transaction,
  doc: Sheet,
  author: Changer,
): Promise<{ taken: Taken; version: number }> {
  await tx.insert(sheetShipped).values({ sheetId: doc.id, doc }).onDuplicateKeyUpdate({ set: { doc } })
  const [last] = await historyOfSheet(tx, doc.id)
  const [inForce] = await tx.select().from(sheet).where(eq(sheet.id, doc.id))
  const version = last?.version ?? 0
  if (last && differences(doc, inForce?.doc).length === 0) return { taken: 'same', version }
  if (last && (last.by !== null || (await inUseFaults(tx, doc)).length > 0)) return { taken: 'kept', version }
  const text = { yaml: writeSheetText(doc), why: '' }
  return { taken: last ? 'renewed' : 'new', version: await putInForce(tx, doc, text, author) }
}

/** Takes up the shipped library: new sheets and new versions of those nobody here has changed. A sheet
 * that somebody here wrote stays in force; how it differs is shown beside it. */
export async function renewLibrary(
  db: Database,
  shipped: readonly Sheet[],
  at = new Date().toISOString(),
): Promise<{ renewed: string[]; kept: string[] }> {
  // Nobody here did it, and it happens before any site has a zone: the day is that of UTC.
  const author = { by: null, at, day: dayFromIso(at.slice(0, 10)) }
  const stream = createOwnStream(db)
  try {
    return await changing({ db, stream, author }, async (tx) => {
      const answer = { renewed: [] as string[], kept: [] as string[] }
      const changes: NewChange[] = []
      for (const doc of shipped) {
        const { taken, version } = await takeUp(tx, doc, author)
        if (taken === 'kept') answer.kept.push(doc.id)
        if (taken !== 'renewed') continue
        answer.renewed.push(doc.id)
        changes.push({ what: { kind: 'sheet', sheet: doc.id, version, fields: [] }, reason: '' })
      }
      return { changes, answer }
    })
  } finally {
    await stream.close()
  }
}
