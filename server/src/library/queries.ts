import type { LibrarySheet, SheetSchools, SheetSummary, SheetVersion } from '@kobrin/contract'
import type { Sheet } from '@kobrin/core'
import { differences, own } from '@kobrin/core'
import { and, count, desc, eq, max } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { resident, sheet, site } from '../site/tables.ts'
import { writeSheetText } from './sheetText.ts'
import { sheetShipped, sheetVersion } from './tables.ts'

export async function sheetInForce(db: Database | Transaction, id: string): Promise<Sheet | null> {
  const [row] = await db.select().from(sheet).where(eq(sheet.id, id))
  return row?.doc ?? null
}

export async function shippedSheet(db: Database | Transaction, id: string): Promise<Sheet | null> {
  const [row] = await db.select().from(sheetShipped).where(eq(sheetShipped.sheetId, id))
  return row?.doc ?? null
}

export async function historyOfSheet(db: Database | Transaction, id: string): Promise<SheetVersion[]> {
  return db
    .select({
      version: sheetVersion.version,
      at: sheetVersion.madeAt,
      by: sheetVersion.authorId,
      why: sheetVersion.why,
    })
    .from(sheetVersion)
    .where(eq(sheetVersion.sheetId, id))
    .orderBy(desc(sheetVersion.version))
}

export async function textOfVersion(db: Database, id: string, version: number): Promise<string | null> {
  const [row] = await db
    .select({ yaml: sheetVersion.yaml })
    .from(sheetVersion)
    .where(and(eq(sheetVersion.sheetId, id), eq(sheetVersion.version, version)))
  return row?.yaml ?? null
}

export async function summaries(db: Database): Promise<SheetSummary[]> {
  const sheets = await db.select().from(sheet)
  const shipped = new Map((await db.select().from(sheetShipped)).map(({ sheetId, doc }) => [sheetId, doc]))
  const versions = new Map(
    (
      await db
        .select({ id: sheetVersion.sheetId, version: max(sheetVersion.version) })
        .from(sheetVersion)
        .groupBy(sheetVersion.sheetId)
    ).map(({ id, version }) => [id, version ?? 1]),
  )
  const living = new Map(
    (await db.select({ id: resident.sheetId, living: count() }).from(resident).groupBy(resident.sheetId)).map(
      ({ id, living: many }) => [id, many],
    ),
  )
  return sheets
    .map(({ doc }) => ({
      id: doc.id,
      common: doc.common,
      latin: doc.latin,
      otherNames: doc.otherNames,
      group: doc.group,
      version: versions.get(doc.id) ?? 1,
      residents: living.get(doc.id) ?? 0,
      differs: shipped.has(doc.id) ? differences(shipped.get(doc.id), doc).length : 0,
    }))
    .sort((a, b) => a.common.localeCompare(b.common, 'en'))
}

export async function everySchool(db: Database): Promise<SheetSchools[]> {
  const sheets = await db.select().from(sheet)
  const [settings] = await db.select({ schools: site.schools }).from(site)
  return sheets
    .map(({ doc: { id, common, schools } }) => ({
      id,
      common,
      schools,
      chosen: own(settings?.schools ?? {}, id) ?? {},
    }))
    .sort((a, b) => a.common.localeCompare(b.common, 'en'))
}

export async function librarySheet(db: Database, id: string): Promise<LibrarySheet | null> {
  const doc = await sheetInForce(db, id)
  if (!doc) return null
  const history = await historyOfSheet(db, id)
  const version = history[0]?.version ?? 1
  const shipped = await shippedSheet(db, id)
  const differs = shipped ? differences(shipped, doc) : []
  const [settings] = await db.select({ schools: site.schools }).from(site)
  return {
    sheet: doc,
    yaml: (await textOfVersion(db, id, version)) ?? writeSheetText(doc),
    version,
    history,
    differences: differs,
    shippedYaml: shipped && differs.length > 0 ? writeSheetText(shipped) : null,
    schools: own(settings?.schools ?? {}, id) ?? {},
  }
}
