import { FOLD_REVISION } from '@kobrin/core'
import type { Database } from '../database/connect.ts'
import { rebuild } from './rebuild.ts'
import { foldRevision } from './tables.ts'

const FIRST = 1

/** Tells all folds anew where they were stored by an earlier version, which kept less. Answers how many were
 * written. Begun twice at once, or again after it was cut short, it ends the same. */
export async function refold(db: Database, revision = FOLD_REVISION): Promise<number> {
  const [stored = { revision: FIRST }] = await db.select().from(foldRevision)
  if (stored.revision >= revision) return 0
  const { differing } = await rebuild(db, { write: true })
  await db.transaction(async (tx) => {
    await tx.delete(foldRevision)
    await tx.insert(foldRevision).ignore().values({ revision })
  })
  return differing.length
}
