import type { SQL } from 'drizzle-orm'
import type { Pool, RowDataPacket, TypeCastField } from 'mysql2/promise'
import type { Database, Transaction } from './connect.ts'

/** The rows of a statement. MariaDB's driver answers [rows, fields]. */
export async function rowsOf<T>(db: Database | Transaction, query: SQL): Promise<T[]> {
  const [rows] = (await db.execute(query)) as unknown as [T[]]
  return rows
}

const undecoded = (field: TypeCastField) => field.buffer()

/** The one column of a statement as the bytes that came: text that is only passed on need not become
 * strings on the way. */
export async function bytesOf(pool: Pool, sql: string, values: unknown[]): Promise<Buffer[]> {
  const [rows] = await pool.query<RowDataPacket[][]>({ sql, values, rowsAsArray: true, typeCast: undecoded })
  return (rows as unknown as [Buffer][]).map(([bytes]) => bytes)
}
