import type { House, KeepHouse } from '@kobrin/contract'
import { sql } from 'drizzle-orm'
import type { Changing } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { KobrinProblem } from '../errors/problem.ts'
import { numbering, site } from './tables.ts'

/** How the house is called and numbers its residents. */
export async function readHouse(db: Database): Promise<House> {
  const [row] = await rowsOf<House>(
    db,
    sql`select name, zone, units, hemisphere, prefix, digits, last + 1 as next from site, numbering`,
  )
  if (!row) throw new KobrinProblem('no_such_place')
  return row
}

/** Numbers that were given out stay as they are. */
export async function keepHouse(
  by: Changing,
  { name, prefix, digits, units, hemisphere }: KeepHouse,
): Promise<void> {
  await changing(by, async (tx) => {
    await tx.update(site).set({ name, units, ...(hemisphere && { hemisphere }) })
    await tx.update(numbering).set({ prefix, digits })
    return { changes: [{ what: { kind: 'house', name }, reason: '' }], answer: undefined }
  })
}
