import type { SQL } from 'drizzle-orm'
import type { Database, Transaction } from './connect.ts'

/** The rows of a statement. MariaDB's driver answers [rows, fields]. */
export async function rowsOf<T>(db: Database | Transaction, query: SQL): Promise<T[]> {
  const [rows] = (await db.execute(query)) as unknown as [T[]]
  return rows
}
