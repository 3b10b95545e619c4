import type { KeepSheet, SheetAnswer } from '@kobrin/contract'
import type { Sheet } from '@kobrin/core'
import { dayFromIso, differences, sheetQuestions } from '@kobrin/core'
import { max, eq } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import type { Author } from '../plans/author.ts'
import { recordPlanChange } from '../plans/commands.ts'
import { sheet } from '../site/tables.ts'
import { inUseFaults } from './inUse.ts'
import { historyOfSheet } from './queries.ts'
import { readSheetText, writeSheetText } from './sheetText.ts'
import { sheetShipped, sheetVersion } from './tables.ts'

async function nextVersion(tx: Transaction, id: string): Promise<number> {
  // The sheet's own row is the lock: two who keep a sheet at once get two versions.
  await tx.select({ id: sheet.id }).from(sheet).where(eq(sheet.id, id)).for('update')
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
  { by, at }: { by: string | null; at: string },
): Promise<number> {
  const version = await nextVersion(tx, doc.id)
  await tx.insert(sheetVersion).values({ sheetId: doc.id, version, authorId: by, madeAt: at, ...text })
  await tx.insert(sheet).values({ id: doc.id, doc }).onDuplicateKeyUpdate({ set: { doc } })
  return version
}

/** Reads, judges and keeps a sheet as somebody wrote it. The version in force stays until then. */
export async function keepSheet(
  db: Database,
  id: string,
  { yaml, why, confirmed = false, basedOn }: KeepSheet,
  author: Author,
): Promise<SheetAnswer> {
  const read = readSheetText(yaml)
  if ('faults' in read) return { status: 'faulty', faults: read.faults }
  const doc = read.sheet
  if (doc.id !== id)
    return {
      status: 'faulty',
      faults: [{ line: 1, field: 'id', says: `This is the sheet "${doc.id}", not "${id}".` }],
    }
  const questions = sheetQuestions(doc)
  if (questions.length > 0 && !confirmed)
    return {
      status: 'asked',
      questions: questions.map(({ path, says }) => ({ line: null, field: path.join('.'), says })),
    }
  return db.transaction(async (tx): Promise<SheetAnswer> => {
    const [before] = await tx.select().from(sheet).where(eq(sheet.id, id)).for('update')
    const faults = await inUseFaults(tx, doc)
    if (faults.length > 0) return { status: 'faulty', faults }
    const last = (await historyOfSheet(tx, id))[0]?.version ?? 0
    if (basedOn !== undefined && basedOn !== last) return { status: 'overtaken', version: last }
    const version = await putInForce(tx, doc, { yaml, why }, author)
    const changed = differences(before?.doc ?? {}, doc).map(({ path }) => path)
    await recordPlanChange(tx, {
      ...author,
      kind: 'sheet',
      sheet: id,
      what: before ? `Care sheet, version ${version}: ${changed.join(', ') || 'the same'}` : 'New care sheet',
      reason: why,
    })
    return { status: 'kept', version }
  })
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
  const renewed: string[] = []
  const kept: string[] = []
  await db.transaction(async (tx) => {
    for (const doc of shipped) {
      await tx
        .insert(sheetShipped)
        .values({ sheetId: doc.id, doc })
        .onDuplicateKeyUpdate({ set: { doc } })
      const [last] = await historyOfSheet(tx, doc.id)
      const [inForce] = await tx.select().from(sheet).where(eq(sheet.id, doc.id))
      if (last && last.by !== null) {
        if (differences(doc, inForce?.doc).length > 0) kept.push(doc.id)
        continue
      }
      if (last && differences(doc, inForce?.doc).length === 0) continue
      if (last && (await inUseFaults(tx, doc)).length > 0) {
        kept.push(doc.id)
        continue
      }
      const why = last ? 'A newer shipped library' : 'As shipped'
      await putInForce(tx, doc, { yaml: writeSheetText(doc), why }, author)
      if (!last) continue
      renewed.push(doc.id)
      await recordPlanChange(tx, {
        ...author,
        kind: 'sheet',
        sheet: doc.id,
        what: 'The shipped care sheet was renewed',
        reason: why,
      })
    }
  })
  return { renewed, kept }
}
