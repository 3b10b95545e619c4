import type { Entry, Fact, FamilyName, Sheet } from '@kobrin/core'
import { isAmendment, needsSheets, numberClaimedBy, touchesOf } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { Fold, FoldMemory } from './foldMemory.ts'
import type { Target } from './judge.ts'
import { subjectRows } from './queries.ts'
import { believedIn, isOutdated } from './storedFold.ts'
import { IS_TAKEN_BACK } from './takenBack.ts'

/** What is on record about everything that a batch of entries speaks of. */
export interface Knowledge {
  folds: Map<string, Fold>
  families: Map<string, FamilyName>
  targets: Map<string, Target>
  siblings: Map<string, string[]>
  sheets: ReadonlyMap<string, Sheet>
  /** Who has a number that is spoken of. */
  holders: ReadonlyMap<string, string>
}

/** What is believed of some subjects, as this server wrote it last or as it lies in the database. */
export async function foldsOf(
  db: Database | Transaction,
  subjects: Iterable<string>,
  memory: FoldMemory,
): Promise<Map<string, Fold>> {
  const folds = new Map<string, Fold>()
  const unknown = new Set<string>()
  for (const subject of subjects) {
    const fold = memory.recall(subject)
    if (fold) folds.set(subject, fold)
    else unknown.add(subject)
  }
  if (unknown.size > 0)
    for (const row of await subjectRows(db, [...unknown])) {
      const { id, family, version, up_to: upTo } = row
      const outdated = isOutdated(row) && { outdated: true as const }
      folds.set(id, { family, version, upTo, state: believedIn(row), ...outdated })
    }
  return folds
}

/** What entries say, or would have others say. */
function saidBy(entries: readonly Entry[]): Pick<Fact, 'kind' | 'payload'>[] {
  return entries.flatMap((entry) =>
    entry.kind === 'retracted' ? [] : entry.kind === 'corrected' ? [entry.payload.to] : [entry],
  )
}

/** Subjects that the entries touch besides their own. */
function touchedBy(entries: readonly Entry[]): string[] {
  return saidBy(entries).flatMap((fact) => touchesOf(fact).map(({ subject }) => subject))
}

async function familiesOf(
  db: Database,
  subjects: readonly string[],
  memory: FoldMemory,
): Promise<Map<string, FamilyName>> {
  const families = new Map<string, FamilyName>()
  const unknown = new Set<string>()
  for (const subject of subjects) {
    const family = memory.familyOf(subject)
    if (family) families.set(subject, family)
    else unknown.add(subject)
  }
  if (unknown.size === 0) return families
  const rows = await rowsOf<{ id: string; family: FamilyName }>(
    db,
    sql`select id, family from subject where id in ${[...unknown]}`,
  )
  for (const { id, family } of rows) {
    families.set(id, family)
    memory.keepFamily(id, family)
  }
  return families
}

async function targetsOf(db: Database, entries: readonly Entry[]): Promise<Map<string, Target>> {
  const wanted = entries.filter(isAmendment).map(({ payload }) => payload.target)
  if (wanted.length === 0) return new Map()
  const rows = await rowsOf<Target>(db, sql`select uid, subject, kind, act from entry where uid in ${wanted}`)
  return new Map(rows.map((row) => [row.uid, row]))
}

/** Facts of each act that nobody took back yet. */
async function siblingsOf(db: Database, targets: Iterable<Target>): Promise<Map<string, string[]>> {
  const acts = new Set([...targets].flatMap(({ act }) => act ?? []))
  if (acts.size === 0) return new Map()
  const rows = await rowsOf<{ uid: string; act: string }>(
    db,
    sql`select uid, act from entry as one
        where act in ${[...acts]} and kind not in ('corrected', 'retracted') and not ${IS_TAKEN_BACK}`,
  )
  const siblings = new Map<string, string[]>()
  for (const { uid, act } of rows) siblings.set(act, [...(siblings.get(act) ?? []), uid])
  return siblings
}

/** Who has the numbers that are claimed. */
async function holdersOf(db: Database, entries: readonly Entry[]): Promise<Map<string, string>> {
  const numbers = saidBy(entries).flatMap((fact) => numberClaimedBy(fact) ?? [])
  if (numbers.length === 0) return new Map()
  const rows = await rowsOf<{ id: string; accession: string }>(
    db,
    sql`select id, accession from resident where accession in ${numbers}`,
  )
  return new Map(rows.map(({ id, accession }) => [accession, id]))
}

export async function knowledgeOf(
  db: Database,
  entries: readonly Entry[],
  memory: FoldMemory,
  sheets: () => Promise<ReadonlyMap<string, Sheet>>,
): Promise<Knowledge> {
  const subjects = entries.map(({ subject }) => subject)
  const folds = await foldsOf(db, subjects, memory)
  const families = await familiesOf(db, touchedBy(entries), memory)
  const targets = await targetsOf(db, entries)
  return {
    folds,
    families,
    targets,
    siblings: await siblingsOf(db, targets.values()),
    holders: await holdersOf(db, entries),
    sheets: saidBy(entries).some(needsSheets) ? await sheets() : new Map(),
  }
}
